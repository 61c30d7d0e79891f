import { fireEvent, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { beforeEach, expect, it, vi } from 'vitest'
import { MenuButton } from './MenuButton'

const chosen = vi.fn()

beforeEach(() => {
  chosen.mockClear()
  // The test browser has no popovers: shown or not is told in the same way.
  const toggle = (newState: string) =>
    function (this: HTMLElement) {
      fireEvent(this, Object.assign(new Event('toggle'), { newState }))
    }
  HTMLElement.prototype.showPopover = toggle('open')
  HTMLElement.prototype.hidePopover = toggle('closed')
  render(
    <MenuButton
      label="More of the knee switch"
      items={['Settings', 'Copy', 'Take out'].map((label) => ({
        key: label,
        label,
        disabled: label === 'Copy',
        onChoose: () => chosen(label),
      }))}
    >
      …
    </MenuButton>,
  )
})

const button = () => screen.getByRole('button', { name: 'More of the knee switch' })
const focused = () => document.activeElement?.textContent

it('opens on its first entry, leads by arrows past what can’t be done, and back to its button by Esc', async () => {
  await userEvent.click(button())
  await vi.waitFor(() => expect(button().getAttribute('aria-expanded')).toBe('true'))
  expect(focused()).toBe('Settings')
  await userEvent.keyboard('{ArrowDown}')
  expect(focused()).toBe('Take out')
  await userEvent.keyboard('{ArrowDown}')
  expect(focused()).toBe('Settings')
  await userEvent.keyboard('{End}{Escape}')
  expect(document.activeElement).toBe(button())
  await vi.waitFor(() => expect(button().getAttribute('aria-expanded')).toBe('false'))
  expect(chosen).not.toHaveBeenCalled()
})

it('opens on its last entry by the arrow up; what is chosen is done, and the focus is back on the button', async () => {
  button().focus()
  await userEvent.keyboard('{ArrowUp}')
  expect(focused()).toBe('Take out')
  await userEvent.keyboard('{Enter}')
  expect(chosen.mock.calls).toEqual([['Take out']])
  expect(document.activeElement).toBe(button())
})
