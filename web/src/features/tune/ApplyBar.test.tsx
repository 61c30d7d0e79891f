import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Fit, FitResult } from '../../shared/api'
import { SavingProvider } from '../../shared/fitting'
import { AccountContext, type SignedIn } from '../../shared/session'
import { ApplyBar } from './ApplyBar'

const FIT = { id: 'f1' } as Fit
const RESULT = {
  timing: { long_press_ms: 1000, tap_gap_ms: 350 },
  applies: [
    { scope: 'button', of: 'phone/edge', words: 'This button' },
    { scope: 'device', of: 'phone', words: 'All of the phone' },
  ],
  in_force: false,
  note: 'Fitted from 30 presses.',
} as unknown as FitResult

let sent: Record<string, unknown>[]

beforeEach(() => {
  sent = []
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.method === 'POST') sent.push((await request.json()) as Record<string, unknown>)
    return Response.json({ revision: { number: 3 }, told: [] }, { status: 201 })
  })
})
afterEach(() => vi.unstubAllGlobals())

function bar(more: Partial<Parameters<typeof ApplyBar>[0]>) {
  return render(
    <AccountContext.Provider value={{ role: 'specialist' } as SignedIn}>
      <QueryClientProvider client={new QueryClient()}>
        <SavingProvider client="one" revision={2}>
          <ApplyBar
            fit={FIT}
            result={RESULT}
            moved={undefined}
            scope={undefined}
            onScope={vi.fn()}
            onBack={vi.fn()}
            disabled={false}
            {...more}
          />
        </SavingProvider>
      </QueryClientProvider>
    </AccountContext.Provider>,
  )
}

const apply = async (words: string) => {
  await act(async () => {
    fireEvent.click(screen.getByText(words))
    await Promise.resolve()
  })
  await vi.waitFor(() => expect(sent).toHaveLength(1), 5000)
  return sent[0]
}

describe('Apply', () => {
  it('sends what was fitted, for what it is, with the fit that it rests on', async () => {
    bar({})
    expect(await apply('Apply: This button')).toMatchObject({
      fit: 'f1',
      note: 'Fitted from 30 presses.',
      opened_on: 2,
      change: { kind: 'fitted', scope: 'button', of: 'phone/edge', timing: RESULT.timing },
    })
  })

  it('sends what was moved by hand, of what was fitted, and says that it was', async () => {
    bar({ moved: { long_press_ms: 900, tap_gap_ms: 350, bounce_guard_ms: 0 }, scope: 'device' })
    expect(await apply('Apply: All of the phone')).toMatchObject({
      note: 'Moved by hand from what was fitted. Fitted from 30 presses.',
      change: { scope: 'device', of: 'phone', timing: { long_press_ms: 900, tap_gap_ms: 350 } },
    })
  })

  it('can’t be done with a fit that is the one before', async () => {
    bar({ disabled: true })
    fireEvent.click(screen.getByText('Apply: This button'))
    await new Promise((is) => setTimeout(is))
    expect(sent).toEqual([])
  })
})
