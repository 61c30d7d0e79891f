import { render } from '@testing-library/react'
import { expect, it } from 'vitest'
import { BigPrompt } from './BigPrompt'

const ASKED = {
  intended: 'tap',
  words: 'Press once',
  wants: 1,
  presses: 0,
  down: false,
  paused: false,
} as const

it('asks anew where the same is asked again, and only then', () => {
  const { container, rerender } = render(<BigPrompt number={3} {...ASKED} />)
  const spoken = () => container.querySelector('[aria-live=assertive]')?.firstElementChild
  const first = spoken()
  rerender(<BigPrompt number={3} {...ASKED} presses={1} />)
  expect(spoken()).toBe(first)
  rerender(<BigPrompt number={4} {...ASKED} />)
  expect(spoken()).not.toBe(first)
  expect(spoken()?.textContent).toBe('Press once')
})
