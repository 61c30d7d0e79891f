import { act, fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { later } from './later'

const Bell = ({ name }: { name: string }) => <p>Bell {name}</p>

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

  it('says that it can’t be fetched, in its place, and is there once it can', async () => {
    const load = vi.fn(() => Promise.resolve(Bell)).mockRejectedValueOnce(new Error('The line is down'))
    const Later = later(load, <p>Coming</p>)
    render(
      <>
        <p>What else is here</p>
        <Later name="four" />
      </>,
    )
    expect((await screen.findByRole('alert', {}, { timeout: 5000 })).textContent).toMatch(/can’t be fetched/)
    expect(screen.getByText('What else is here')).toBeTruthy()
    fireEvent.click(screen.getByText('Try again'))
    expect(await screen.findByText('Bell four', {}, { timeout: 5000 })).toBeTruthy()
    expect(load).toHaveBeenCalledTimes(2)
  })
})
