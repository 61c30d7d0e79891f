import { Refused, type BenchView, type Message, type WhereNow } from '../api'
import type { Heard } from './ear'
import { say } from './sentences'

const RETRY_MS = 500
const MOST_AT_ONCE = 200

/** What a sender needs of an answer; a joined listener is told no more. */
export type Ack = Pick<BenchView, 'stream' | 'received' | 'heard_through' | 'next_us'>

export interface SenderPorts<Answer extends Ack> {
  begin: () => Promise<string>
  send: (stream: string, messages: Message[]) => Promise<Answer>
  onView: (view: Answer) => void
  /** In words what goes wrong just now, or undefined when all is well again. */
  onTrouble: (words: string | undefined) => void
  /** Nothing can be sent any more, and why: whoever listens is told that nothing is heard. */
  onEnd: (words: string) => void
  nowMs: () => number
}

/**
 * One numbered stream of what was heard. Messages are kept until the server has them, sent
 * again where an answer is missing, and the time is told when the server asked for it.
 */
export class StreamSender<Answer extends Ack = BenchView> {
  private kept: Message[] = []
  private number = 0
  private stream: Promise<string> | undefined
  private id: string | undefined
  private received = -1
  private sentThrough = 0
  private onItsWay = 0
  private readonly down = new Set<string>()
  private readonly told = new Map<string, string>()
  private finished = false
  private closed = false
  private retry: ReturnType<typeof setTimeout> | undefined
  private tell: ReturnType<typeof setTimeout> | undefined

  constructor(private readonly ports: SenderPorts<Answer>) {}

  /** source – a button, or of a raw stream what was heard. */
  hear(source: string, { edge, level, timeMs }: Pick<Heard, 'edge' | 'level' | 'timeMs'>): void {
    if (edge === 'down' || (level ?? 0) > 0) this.down.add(source)
    else this.down.delete(source)
    const value = level === undefined ? {} : { value: String(level) }
    this.add({ source, kind: edge, t_us: Math.round(timeMs * 1000), ...value })
  }

  /** Where the client is on stand-in hosts; only what is another than was told is told. */
  tellWhere(places: Record<string, WhereNow>): void {
    if (this.finished) return
    for (const [host, where] of Object.entries(places))
      for (const what of ['pointer', 'focus'] as const) {
        const kind = `${what}_in` as const
        if ((this.told.get(`${host} ${kind}`) ?? '') === where[what]) continue
        this.told.set(`${host} ${kind}`, where[what])
        this.add({ source: host, kind, value: where[what], t_us: Math.round(this.ports.nowMs() * 1000) })
      }
  }

  /** The stream's presses were decided anew, by a changed fitting: there may be more to wait for. */
  replan(views: Ack[]): void {
    const view = views.find((one) => one.stream === this.id)
    if (view && view.received >= this.received) this.planTell(view.next_us)
  }

  /** Does this sender write this stream? Its answers come here by themselves. */
  writes(stream: string): boolean {
    return stream === this.id
  }

  /** No more is heard. Time runs on for what is decided without another press. */
  finish(): void {
    this.finished = true
    // Nobody knows when a button that is still down is let go.
    if (this.down.size > 0) clearTimeout(this.tell)
  }

  /** Gives up at once. */
  close(): void {
    this.finished = true
    this.closed = true
    clearTimeout(this.tell)
    clearTimeout(this.retry)
    this.kept = []
  }

  private add(message: Omit<Message, 'number'>): void {
    this.number += 1
    this.kept.push({ number: this.number, ...message })
    // A level changes many times a second: what comes while an answer is awaited goes with the next.
    if (message.kind !== 'level' || this.onItsWay === 0) void this.flush()
  }

  private async flush(): Promise<void> {
    clearTimeout(this.retry)
    const messages = this.kept.slice(0, MOST_AT_ONCE)
    if (messages.length === 0) return
    this.onItsWay += 1
    let view: Answer
    try {
      this.id = await this.begun()
      this.sentThrough = messages.at(-1)?.number ?? this.sentThrough
      view = await this.ports.send(this.id, messages)
    } catch (error) {
      this.onItsWay -= 1
      return this.failed(error, messages)
    }
    this.onItsWay -= 1
    // An answer of a stream that was left, or after the end, is nobody's.
    if (view.stream !== this.id || this.closed) return
    this.ports.onTrouble(undefined)
    this.take(view)
  }

  /** The stream’s id. One that could not be begun is begun anew the next time; one that was stays, whatever fails later. */
  private async begun(): Promise<string> {
    const mine = (this.stream ??= this.ports.begin())
    try {
      return await mine
    } catch (error) {
      if (this.stream === mine) this.stream = undefined
      throw error
    }
  }

  private take(view: Answer): void {
    this.kept = this.kept.filter((message) => message.number > view.heard_through)
    if (this.number > this.sentThrough && this.onItsWay === 0) void this.flush()
    // Answers may overtake each other: one that knows less than another is left.
    if (view.received <= this.received) return
    this.received = view.received
    this.ports.onView(view)
    this.planTell(view.next_us)
    if (this.kept.length > 0) this.retryLater()
  }

  private planTell(nextUs: number | null): void {
    clearTimeout(this.tell)
    if (nextUs === null || (this.finished && this.down.size > 0)) return
    const left = nextUs / 1000 - this.ports.nowMs()
    this.tell = setTimeout(() => this.add({ source: '', kind: 'told', t_us: nextUs }), Math.max(0, left))
  }

  private failed(error: unknown, messages: Message[]): void {
    if (this.closed) return
    const status = error instanceof Refused ? error.status : 0
    // The stream is no more (nothing is kept for ever): what is kept goes into a new one, once.
    if (status === 404 && this.received >= 0) return this.beginAnew()
    if (status === 0 || status >= 500) {
      this.ports.onTrouble(say.keptAndSentAgain)
      return this.retryLater()
    }
    const words = error instanceof Error ? error.message : say.notTaken
    this.ports.onTrouble(words)
    const refused = refusedOf(error, messages)
    if (refused.size === 0) {
      this.close()
      return this.ports.onEnd(words)
    }
    // The numbers must follow on each other: where a message can't be, the time is told instead.
    this.kept = this.kept.map((one) =>
      refused.has(one) ? { number: one.number, source: '', kind: 'told', t_us: one.t_us } : one,
    )
    void this.flush()
  }

  private beginAnew(): void {
    // The new one knows nothing of where the client was when it began.
    const t_us = this.kept[0]?.t_us ?? Math.round(this.ports.nowMs() * 1000)
    const spots = [...this.told].map(([key, value]) => {
      const [source = '', kind = ''] = key.split(' ')
      return { source, kind: kind as Message['kind'], value, t_us }
    })
    this.kept = [...spots, ...this.kept].map((message, index) => ({ ...message, number: index + 1 }))
    this.number = this.kept.length
    this.sentThrough = 0
    this.received = -1
    this.id = undefined
    this.stream = undefined
    this.retryLater()
  }

  private retryLater(): void {
    clearTimeout(this.retry)
    this.retry = setTimeout(() => void this.flush(), RETRY_MS)
  }
}

/** Which messages the server named as those that can't be taken. */
function refusedOf(error: unknown, messages: Message[]): Set<Message> {
  const faults = error instanceof Refused ? (error.problem.faults ?? []) : []
  const indexes = faults.map((fault) => Number(/^\/messages\/(\d+)/.exec(fault.where)?.[1] ?? NaN))
  return new Set(messages.filter((message, index) => indexes.includes(index) && message.kind !== 'told'))
}
