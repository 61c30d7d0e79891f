import { fireEvent, render } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { useCommands } from './commands'

function Desk({ undo }: { undo: () => void }) {
  useCommands({ undo })
  return (
    <>
      <input aria-label="words" />
      <input type="checkbox" aria-label="tick" />
      <textarea aria-label="more" />
    </>
  )
}

describe('useCommands', () => {
  it('leaves what is being typed its own undo', () => {
    const undo = vi.fn()
    const { getByLabelText } = render(<Desk undo={undo} />)
    for (const label of ['words', 'more'])
      fireEvent.keyDown(getByLabelText(label), { key: 'z', ctrlKey: true })
    expect(undo).not.toHaveBeenCalled()
    fireEvent.keyDown(getByLabelText('tick'), { key: 'z', ctrlKey: true })
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true })
    expect(undo).toHaveBeenCalledTimes(2)
  })

  it('does nothing twice, and nothing once it is gone', () => {
    const undo = vi.fn()
    const { unmount } = render(<Desk undo={undo} />)
    const handled = new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, cancelable: true })
    handled.preventDefault()
    document.body.dispatchEvent(handled)
    unmount()
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true })
    expect(undo).not.toHaveBeenCalled()
  })
})
