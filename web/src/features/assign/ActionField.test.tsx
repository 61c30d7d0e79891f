import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { ActionField } from './ActionField'
import { choose } from './actionChoice'
import { entry } from './testing'

const [louder, help] = [entry({ id: 'louder', name: 'louder' }), entry({ id: 'help', name: 'call for help' })]
let answer = { actions: [louder, help], settled: true }
const likeliest = vi.fn(() => Promise.resolve(help))
vi.mock('../../shared/fitting', () => ({ useFoundActions: () => answer, useLikeliest: () => likeliest }))

const field = (onChange: (choice: unknown) => void) => (
  <ActionField label="Line 1" value={choose(undefined)} onChange={onChange} />
)

describe('an action found by what is typed', () => {
  it('takes what fits these words, not what was there before, where Enter is pressed early', async () => {
    const chosen = vi.fn()
    const { rerender } = render(field(chosen))
    const typed = screen.getByRole('combobox')
    fireEvent.change(typed, { target: { value: 'help' } })
    answer = { actions: [louder, help], settled: false }
    rerender(field(chosen))
    fireEvent.keyDown(typed, { key: 'Enter', which: 13, keyCode: 13 })
    expect(chosen).not.toHaveBeenCalled()

    await waitFor(() => expect(chosen).toHaveBeenCalledTimes(1))
    expect(chosen.mock.calls[0]?.[0]).toMatchObject({ picked: { id: 'help' } })
    expect(likeliest.mock.calls.map((asked: unknown[]) => asked[0])).toEqual(['help'])
  })
})
