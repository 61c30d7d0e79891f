import { act, render, screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { Announcer, useAnnounce } from './Announcer'

describe('Announcer', () => {
  it('says two things that come at once both, and what comes later by itself', () => {
    const clock = vi.spyOn(performance, 'now')
    let say: (words: string) => void = () => undefined
    const Ear = () => {
      say = useAnnounce()
      return null
    }
    render(
      <Announcer>
        <Ear />
      </Announcer>,
    )
    const at = (ms: number, words: string) =>
      act(() => {
        clock.mockReturnValue(ms)
        say(words)
      })
    const said = () => screen.getByRole('status').textContent?.trim()
    at(1000, 'Edge key: long-press, Answer the call.')
    at(1050, 'Switch: tap, Next page.')
    expect(said()).toBe('Edge key: long-press, Answer the call. Switch: tap, Next page.')
    at(3000, 'Saved.')
    expect(said()).toBe('Saved.')
  })
})
