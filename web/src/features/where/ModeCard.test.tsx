import { render, screen } from '@testing-library/react'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { expect, it } from 'vitest'
import type { Mode } from '../../shared/api'
import { AccountContext, type SignedIn } from '../../shared/session'
import { SavingProvider } from '../../shared/fitting'
import { ModeCard } from './ModeCard'

const counted = {
  held: 'Left grip',
  counted: 'Right grip',
  gesture: 'double_tap',
  gesture_name: 'twice',
  name: 'Louder',
}
const MODE = {
  id: 'grip',
  name: 'Grip held',
  otherwise: 'base',
  counting: 'while_held',
  ways_in: [],
  ways_out: [],
  assigned: [],
  counts: [],
} as unknown as Mode

const nothing = () => undefined
const show = (mode: Mode) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <AccountContext.Provider value={{ role: 'viewer' } as SignedIn}>
        <SavingProvider client="one" revision={1}>
          <ModeCard mode={mode} onChange={nothing} onShow={nothing} onGive={nothing} />
        </SavingProvider>
      </AccountContext.Provider>
    </QueryClientProvider>,
  )

it('draws what is counted while one is held, where anything is', () => {
  show({ ...MODE, counts: [counted] } as unknown as Mode)
  expect(screen.getByRole('listitem').textContent).toContain('Right grip')
  expect(screen.getByText('Louder')).toBeTruthy()
})

it('says how it counts only where that can be another', () => {
  show(MODE)
  expect(screen.queryByRole('listitem')).toBeNull()
  expect(screen.queryByText(/tap gap/)).toBeNull()
})

it('says that it counts within the tap gap, where it does', () => {
  show({ ...MODE, counting: 'by_gap', counts: [counted] } as unknown as Mode)
  expect(screen.getByText(/tap gap/)).toBeTruthy()
})
