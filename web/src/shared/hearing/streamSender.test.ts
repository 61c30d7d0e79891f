import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Refused, type BenchView, type Message } from '../api'
import { StreamSender } from './streamSender'
import { emptyView } from './testing'

const view = (received: number, more: Partial<BenchView> = {}) => emptyView('s1', received, more)

const refused = (status: number, ...places: string[]) =>
  new Refused({
    type: 'about:blank',
    title: '',
    status,
    detail: 'no',
    faults: places.map((where) => ({ where, message: 'unknown' })),
  })

interface Bench {
  sender: StreamSender
  sent: Message[][]
  views: BenchView[]
  troubles: (string | undefined)[]
  ends: string[]
  begun: () => number
}

/** A sender whose server answers in turn with what is given, then with all it has. */
function bench(...answers: (Partial<BenchView> | Error | Promise<BenchView>)[]): Bench {
  const sent: Message[][] = []
  const views: BenchView[] = []
  const troubles: (string | undefined)[] = []
  const known = new Set<number>()
  const ends: string[] = []
  const begin = vi.fn(() => Promise.resolve('s1'))
  const sender = new StreamSender({
    begin,
    send: (_stream, messages) => {
      sent.push(messages)
      const answer = answers.shift() ?? {}
      if (answer instanceof Error) return Promise.reject(answer)
      if (answer instanceof Promise) return answer
      messages.forEach((message) => known.add(message.number))
      return Promise.resolve(view(known.size, answer))
    },
    onView: (one) => views.push(one),
    onTrouble: (words) => troubles.push(words),
    onEnd: (words) => ends.push(words),
    nowMs: () => Date.now(),
  })
  return { sender, sent, views, troubles, ends, begun: () => begin.mock.calls.length }
}

const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms)

describe('StreamSender', () => {
  beforeEach(() => {
    vi.useFakeTimers({ now: 0 })
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('numbers what it hears and stamps it in whole microseconds', async () => {
    const { sender, sent, begun } = bench()
    sender.hear('phone/edge', { edge: 'down', timeMs: 12.3 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 99.95 })
    await settle()
    expect(sent).toEqual([
      [{ number: 1, source: 'phone/edge', kind: 'down', t_us: 12300 }],
      [{ number: 2, source: 'phone/edge', kind: 'up', t_us: 99950 }],
    ])
    expect(begun()).toBe(1)
  })

  it('tells the time at the moment the server asked for', async () => {
    const { sender, sent } = bench({ next_us: 500_000 })
    sender.hear('phone/edge', { edge: 'down', timeMs: 0 })
    await settle(499)
    expect(sent).toHaveLength(1)
    await settle(1)
    expect(sent[1]).toEqual([{ number: 2, source: '', kind: 'told', t_us: 500_000 }])
  })

  it('keeps what had no answer and sends it again, with what came meanwhile', async () => {
    const { sender, sent, troubles } = bench(refused(0), refused(503))
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    await settle(600)
    expect(sent.map((messages) => messages.map((message) => message.number))).toEqual([[1], [1, 2], [1, 2]])
    expect(troubles.at(-1)).toBeUndefined()
    expect(troubles[0]).toBe('Kippen’s server does not answer. Presses are kept and sent again.')
  })

  it('stays with its stream where one message fails while the first is still on its way', async () => {
    let answer: (one: BenchView) => void = () => undefined
    const first = new Promise<BenchView>((resolve) => (answer = resolve))
    const { sender, sent, begun } = bench(first, refused(0))
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    await settle()
    answer(view(1, { heard_through: 1 }))
    await settle(2000)
    expect(begun()).toBe(1)
    expect(sent.at(-1)?.map((message) => message.number)).toEqual([2])
  })

  it('begins anew where it could not begin', async () => {
    const begin = vi
      .fn()
      .mockRejectedValueOnce(refused(0))
      .mockRejectedValueOnce(refused(0))
      .mockResolvedValue('s2')
    const troubles: (string | undefined)[] = []
    const sender = new StreamSender({
      begin,
      send: () => Promise.resolve({ ...view(1), stream: 's2' }),
      onView: () => undefined,
      onTrouble: (words) => troubles.push(words),
      onEnd: () => undefined,
      nowMs: () => Date.now(),
    })
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle(2000)
    expect(begin).toHaveBeenCalledTimes(3)
    expect(troubles.at(-1)).toBeUndefined()
  })

  it('sends again what the server is missing', async () => {
    const { sender, sent } = bench({ heard_through: 0 })
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle(600)
    expect(sent.map((messages) => messages.map((message) => message.number))).toEqual([[1], [1]])
  })

  it('tells the time in place of a message that can not be taken, and says why', async () => {
    const { sender, sent, troubles } = bench(refused(422, '/messages/0'))
    sender.hear('phone/gone', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'down', timeMs: 2 })
    await settle(1000)
    expect(
      sent.map((messages) => messages.map(({ number, source, kind }) => [number, source, kind])),
    ).toEqual([[[1, 'phone/gone', 'down']], [[1, '', 'told']], [[2, 'phone/edge', 'down']]])
    expect(troubles[0]).toBe('no. messages: unknown')
  })

  it.each([403, 404])('says that it has ended where it is not said what is wrong: %d', async (status) => {
    const { sender, sent, ends } = bench(refused(status))
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle(2000)
    expect([sent.length, ends]).toEqual([1, ['no']])
  })

  it('goes on in a new stream where the old one is no more, numbered anew', async () => {
    const { sender, sent, begun, ends } = bench({}, refused(404))
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    await settle(600)
    expect(sent.map((messages) => messages.map((message) => message.number))).toEqual([[1], [2], [1]])
    expect([begun(), ends]).toEqual([2, []])
  })

  it('takes the first answers of the new stream, though they count fewer than the old', async () => {
    const { sender, views } = bench({ received: 7 }, refused(404), { received: 1 })
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    await settle(600)
    expect(views.map((one) => one.received)).toEqual([7, 1])
  })

  it('takes an answer of the stream that was left for nothing: no press of the new one is eaten', async () => {
    let answerLate: (view: BenchView) => void = () => undefined
    const { sender, sent, views } = bench(
      {},
      new Promise<BenchView>((resolve) => {
        answerLate = resolve
      }),
      refused(404),
    )
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    await settle()
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    sender.hear('phone/edge', { edge: 'down', timeMs: 3 })
    await settle()
    answerLate(view(99, { stream: 'another', heard_through: 99 }))
    await settle(2000)
    expect(sent.at(-1)?.map((message) => message.kind)).toEqual(['up', 'down'])
    expect(views.map((one) => one.received)).not.toContain(99)
  })

  it('keeps one stream however long it gets', async () => {
    const { sender, begun } = bench()
    for (let press = 0; press < 300; press += 1) {
      sender.hear('phone/edge', { edge: 'down', timeMs: press * 100 })
      sender.hear('phone/edge', { edge: 'up', timeMs: press * 100 + 50 })
      await settle()
    }
    sender.hear('phone/edge', { edge: 'down', timeMs: 90_000 })
    await settle()
    expect(begun()).toBe(1)
  })

  it('leaves an answer that knows less than one before', async () => {
    const { sender, views } = bench({ received: 5 }, { received: 3 })
    sender.hear('phone/edge', { edge: 'down', timeMs: 1 })
    sender.hear('phone/edge', { edge: 'up', timeMs: 2 })
    await settle()
    expect(views.map((one) => one.received)).toEqual([5])
  })

  it('lets time run on after listening, unless a button is still down', async () => {
    const up = bench({}, { next_us: 300_000 })
    up.sender.hear('phone/edge', { edge: 'down', timeMs: 0 })
    up.sender.hear('phone/edge', { edge: 'up', timeMs: 0 })
    await settle()
    up.sender.finish()
    await settle(300)
    expect(up.sent.at(-1)?.at(-1)?.kind).toBe('told')

    const down = bench({ next_us: 900_000 })
    down.sender.hear('phone/edge', { edge: 'down', timeMs: 300 })
    await settle()
    down.sender.finish()
    await settle(1000)
    expect(down.sent).toHaveLength(1)
  })

  it('tells the time that a changed fitting asks for', async () => {
    const { sender, sent } = bench()
    sender.hear('phone/edge', { edge: 'down', timeMs: 0 })
    await settle()
    sender.replan([view(1, { next_us: 50_000 }), view(9, { stream: 's2', next_us: 1 })])
    await settle(50)
    expect(sent[1]?.[0]).toMatchObject({ kind: 'told', t_us: 50_000 })
  })

  it('sends levels that come while an answer is awaited together, with the next', async () => {
    const { sender, sent } = bench()
    sender.hear('grip/left', { edge: 'level', level: 0.2, timeMs: 1 })
    sender.hear('grip/left', { edge: 'level', level: 0.5, timeMs: 17 })
    sender.hear('grip/left', { edge: 'level', level: 0.8, timeMs: 34 })
    await settle()
    const numbers = sent.map((messages) => messages.map(({ number, value }) => [number, value]))
    expect(numbers.at(-1)).toEqual([
      [2, '0.5'],
      [3, '0.8'],
    ])
    expect(numbers.flat().filter(([number]) => number === 1).length).toBe(1)
  })
})
