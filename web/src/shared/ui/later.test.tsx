import { act, render, screen } from '@testing-library/react'
import { Component, type ReactNode } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { later } from './later'

const Bell = ({ name }: { name: string }) => <p>Bell {name}</p>

class Caught extends Component<{ children: ReactNode }> {
  override state = { fault: '' }
  static getDerivedStateFromError = (fault: Error) => ({ fault: fault.message })
  override render() {
    return this.state.fault || this.props.children
  }
}

describe('later', () => {
  it('shows what stands in its place until it is there, then itself, and the next time at once', async () => {
    const load = vi.fn(() => Promise.resolve(Bell))
    const Later = later(load, <p>Coming</p>)
    const first = render(<Later name="one" />)
    expect(screen.getByText('Coming')).toBeTruthy()
    await act(() => Promise.resolve())
    expect(screen.getByText('Bell one')).toBeTruthy()
    first.unmount()
    render(<Later name="two" />)
    expect(screen.getByText('Bell two')).toBeTruthy()
    expect(load).toHaveBeenCalledTimes(1)
  })

  it('is there at once where it was asked for before', async () => {
    const Later = later(() => Promise.resolve(Bell), <p>Coming</p>)
    Later.begin()
    await Promise.resolve()
    render(<Later name="three" />)
    expect(screen.getByText('Bell three')).toBeTruthy()
  })

  it('throws what hindered it where it would be drawn, and asks again', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined)
    const load = vi.fn(() => Promise.resolve(Bell)).mockRejectedValueOnce(new Error('The line is down'))
    const Later = later(load, <p>Coming</p>)
    const first = render(
      <Caught>
        <Later name="four" />
      </Caught>,
    )
    await act(() => Promise.resolve())
    expect(first.container.textContent).toBe('The line is down')
    first.unmount()
    render(<Later name="five" />)
    await act(() => Promise.resolve())
    expect(screen.getByText('Bell five')).toBeTruthy()
  })
})
