import { describe, expect, it, vi } from 'vitest'
import { Refused, type Revision } from '../api'
import { SaveQueue, type Order, type Saved } from './queue'

const revision = (number: number): Revision => ({
  number,
  parent: number - 1,
  author: 'A',
  note: '',
  created_at: '2026-11-26T12:00:00Z',
})
const refused = (status: number, more = {}) =>
  new Refused({ type: 'about:blank', title: '', status, detail: 'no', ...more })
const order = (name: string, openedOn = 1, options = {}): Order => ({
  made: { kind: 'client', name },
  openedOn,
  options,
})
const nameOf = ({ made }: Order) => ('kind' in made && made.kind === 'client' ? made.name : '')

/** A queue whose server answers each order as told, or with the next revision. */
function queue(answers: Record<string, Error | string[]> = {}) {
  const sent: [string, number][] = []
  let number = 1
  const settled = vi.fn()
  const made = new SaveQueue(async (one): Promise<Saved> => {
    sent.push([nameOf(one), one.openedOn])
    await Promise.resolve()
    const answer = answers[nameOf(one)]
    if (answer instanceof Error) throw answer
    number += 1
    return { revision: revision(number), told: answer ?? [] }
  }, settled)
  return { queue: made, sent, settled }
}

describe('the queue for saving', () => {
  it('forgets what a form said wrong once the same form has said it right, and nothing else', async () => {
    const { queue: made } = queue({ wrong: refused(422), met: refused(409), other: refused(422) })
    const form = Symbol('one')
    for (const one of [
      { ...order('wrong'), form },
      { ...order('met'), form },
      { ...order('other'), form: Symbol('two') },
      order('other'),
      { ...order('right'), form },
    ])
      await made.save(one).catch(() => undefined)
    expect(made.snapshot().refused.map((one) => nameOf(one.order))).toEqual(['met', 'other', 'other'])
  })

  it('sends one after another, each as it was thought of', async () => {
    const { queue: made, sent } = queue()
    const all = ['a', 'b', 'c'].map((name, index) => made.save(order(name, index + 1)))
    expect(made.snapshot().sending).toBe(3)
    expect((await Promise.all(all)).map((saved) => saved.revision.number)).toEqual([2, 3, 4])
    expect([sent, made.snapshot().sending, made.lastSaved]).toEqual([
      [
        ['a', 1],
        ['b', 2],
        ['c', 3],
      ],
      0,
      4,
    ])
  })

  it('sends the next only once the one before was answered', async () => {
    const answers: (() => void)[] = []
    const sent: string[] = []
    const made = new SaveQueue(async (one): Promise<Saved> => {
      sent.push(nameOf(one))
      await new Promise<void>((is) => answers.push(is))
      return { revision: revision(sent.length + 1), told: [] }
    }, vi.fn())
    const all = [made.save(order('a')), made.save(order('b'))]
    await Promise.resolve()
    await new Promise((is) => setTimeout(is))
    expect(sent).toEqual(['a'])
    answers[0]?.()
    await all[0]
    await new Promise((is) => setTimeout(is))
    expect(sent).toEqual(['a', 'b'])
    answers[1]?.()
    await all[1]
  })

  it('is idle once nothing is on its way, and not before', async () => {
    const { queue: made } = queue()
    await made.idle()
    const saving = made.save(order('a'))
    let idle = false
    void made.idle().then(() => (idle = true))
    await Promise.resolve()
    expect(idle).toBe(false)
    await saving
    await new Promise((is) => setTimeout(is))
    expect(idle).toBe(true)
  })

  it('keeps every refusal until somebody decides, whatever is saved after it', async () => {
    const { queue: made } = queue({ a: refused(422), b: refused(0) })
    await Promise.allSettled(['a', 'b', 'c'].map((name) => made.save(order(name))))
    expect(made.snapshot().refused.map((one) => [nameOf(one.order), one.error.status])).toEqual([
      ['a', 422],
      ['b', 0],
    ])
    made.drop(made.snapshot().refused[0]?.id ?? 0)
    expect(made.snapshot().refused.map((one) => nameOf(one.order))).toEqual(['b'])
  })

  it('saves once more what was refused, in view of what is there now', async () => {
    const answers: Record<string, Error | string[]> = { a: refused(409) }
    const { queue: made, sent } = queue(answers)
    await made.save(order('a', 1)).catch(() => undefined)
    answers['a'] = []
    await made.again(made.snapshot().refused[0]?.id ?? 0, 7)
    expect([sent, made.snapshot().refused]).toEqual([
      [
        ['a', 1],
        ['a', 7],
      ],
      [],
    ])
  })

  it('keeps a refusal that was refused again', async () => {
    const { queue: made } = queue({ a: refused(409) })
    await made.save(order('a')).catch(() => undefined)
    await made.again(made.snapshot().refused[0]?.id ?? 0, 7)
    expect(made.snapshot().refused.map((one) => one.order.openedOn)).toEqual([7])
  })

  it('shows what a change did besides where it is asked to, until the next', async () => {
    const { queue: made } = queue({ a: ['It takes the place of “Back”.'], b: ['unseen'] })
    await made.save(order('a', 1, { tell: true }))
    expect(made.snapshot().done?.told).toEqual(['It takes the place of “Back”.'])
    await made.save(order('b'))
    expect(made.snapshot().done).toBeUndefined()
  })

  it('asks everything anew after each, saved or not, and tells whoever looks', async () => {
    const { queue: made, settled } = queue({ a: refused(500) })
    const seen: number[] = []
    const leave = made.subscribe(() => seen.push(made.snapshot().sending))
    await made.save(order('a')).catch(() => undefined)
    await made.save(order('b'))
    leave()
    await made.save(order('c'))
    expect([settled.mock.calls.length, seen.at(-1), seen.includes(1)]).toEqual([3, 0, true])
  })
})
