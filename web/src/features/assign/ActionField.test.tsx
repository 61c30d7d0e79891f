import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { SavingProvider } from '../../shared/fitting'
import { ActionField } from './ActionField'
import { choose } from './actionChoice'
import { entry } from './testing'

const actions = [
  entry({ id: 'louder', name: 'louder' }),
  entry({ id: 'help', name: 'call for help' }),
  entry({ id: 'shout', name: 'call for help loudly', hosts: ['phone'] }),
]
const json = (value: object) =>
  new Response(JSON.stringify(value), { headers: { 'content-type': 'application/json' } })

/** A field, where what fits "help" is told as soon as the returned function is called. */
function field() {
  const answers: (() => void)[] = []
  vi.stubGlobal('fetch', (request: Request) => {
    const words = new URL(request.url).searchParams.get('words')
    if (words === null) return Promise.resolve(json({ actions }))
    if (words !== 'help') return Promise.resolve(json({ ids: ['louder'] }))
    return new Promise<Response>((done) => answers.push(() => done(json({ ids: ['shout', 'help'] }))))
  })
  const [chosen, later] = [vi.fn(), vi.fn()]
  const queries = new QueryClient()
  const form = (onChange: ((choice: unknown) => void) | null) => (
    <QueryClientProvider client={queries}>
      <SavingProvider client="one" revision={1}>
        {onChange && (
          <ActionField label="Line 1" value={choose(undefined)} onChange={onChange} system="computer" />
        )}
      </SavingProvider>
    </QueryClientProvider>
  )
  const { rerender } = render(form(chosen))
  const become = (onChange: ((choice: unknown) => void) | null) => rerender(form(onChange))
  return { chosen, later, become, tell: () => answers.forEach((answer) => answer()) }
}

describe('an action found by what is typed', () => {
  afterEach(() => vi.unstubAllGlobals())

  it('takes what fits these words and can be here, not what was there before, where Enter is pressed early', async () => {
    const { chosen, tell } = field()
    const typed = screen.getByRole('combobox')
    fireEvent.change(typed, { target: { value: 'lou' } })
    await screen.findByRole('option', { name: 'louder' })
    fireEvent.change(typed, { target: { value: 'help' } })
    fireEvent.keyDown(typed, { key: 'Enter', which: 13, keyCode: 13 })
    await new Promise((done) => setTimeout(done, 50))
    expect(chosen).not.toHaveBeenCalled()

    tell()
    await waitFor(() => expect(chosen).toHaveBeenCalledTimes(1))
    expect(chosen.mock.calls[0]?.[0]).toMatchObject({ picked: { id: 'help' } })
  })

  it('is put into the form as it is by then, and into none that is gone', async () => {
    for (const gone of [false, true]) {
      const { chosen, later, become, tell } = field()
      const typed = screen.getByRole('combobox')
      fireEvent.change(typed, { target: { value: 'lou' } })
      await screen.findByRole('option', { name: 'louder' })
      fireEvent.change(typed, { target: { value: 'help' } })
      fireEvent.keyDown(typed, { key: 'Enter', which: 13, keyCode: 13 })
      become(gone ? null : later)
      await new Promise((done) => setTimeout(done, 20))
      tell()
      await new Promise((done) => setTimeout(done, 50))
      expect([chosen.mock.calls.length, later.mock.calls.length]).toEqual([0, gone ? 0 : 1])
      cleanup()
    }
  })
})
