import { useEffect, useRef } from 'react'
import { api, must, Refused, type Intended, type Sitting } from '../../shared/api'

/** What a stand-in hand does where this is asked. */
const SCRIPT: Record<Intended, 'tap' | 'double_tap' | 'triple_tap' | 'long_press' | 'rest' | 'carry'> = {
  tap: 'tap',
  click: 'tap',
  double_tap: 'double_tap',
  double_click: 'double_tap',
  triple_tap: 'triple_tap',
  long_press: 'long_press',
  drag: 'long_press',
  rest: 'rest',
  carry: 'carry',
}
const BETWEEN_MS = 150
/** Enough, and then so many at once. */
const AGAIN = 10

/** Lets a stand-in hand answer each prompt: its presses come in as real ones do, and then it goes on. */
export function useHandAnswers(
  client: string,
  sitting: Sitting,
  hand: string | undefined,
  onDone: (prompt: number, seen: number) => void,
  onTired: (refused?: Refused) => void,
): void {
  const done = useRef(onDone)
  const tired = useRef(onTired)
  useEffect(() => {
    done.current = onDone
    tired.current = onTired
  })
  const { id, button, prompt, paused, counted, aim } = sitting
  const upTo = useRef(0)
  useEffect(() => {
    if (!hand) upTo.current = Math.max(aim, counted + AGAIN)
    else if (counted >= upTo.current) tired.current()
  }, [hand, aim, counted])
  const number = prompt?.number
  const intended = prompt?.intended
  const answered = useRef('')
  useEffect(() => {
    const key = `${id} ${String(number)}`
    if (!hand || paused || number === undefined || !intended || answered.current === key) return
    const timer = window.setTimeout(() => {
      answered.current = key
      void press().catch((error: unknown) => tired.current(error instanceof Refused ? error : undefined))
    }, BETWEEN_MS)
    const press = async () => {
      await must(
        api.POST('/api/clients/{client}/hands/presses', {
          params: { path: { client } },
          body: { hand, button, script: [SCRIPT[intended]], seed: seedOf(id, number) },
        }),
      )
      const now = await must(api.GET('/api/sittings/{sitting}', { params: { path: { sitting: id } } }))
      done.current(number, now.rows)
    }
    return () => window.clearTimeout(timer)
  }, [client, id, button, hand, paused, number, intended])
}

/** Another hand at each prompt, and the same at the same. */
function seedOf(sitting: string, number: number): number {
  return (parseInt(sitting.slice(0, 6), 16) % 100_000) + number
}
