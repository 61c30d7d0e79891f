import { Refused, type Change, type HistoryStep, type Revision } from '../api'

/** What can be saved: a change, or a step in the history. */
export type Made = Change | HistoryStep

/** note – why; fit – on which it rests; confirmS – how many seconds one has to confirm it; tell – what it did is shown afterwards, with a way back. */
export interface SaveOptions {
  note?: string
  fit?: string
  confirmS?: number | undefined
  tell?: boolean
}

/**
 * What shall be saved; openedOn – the revision that was shown when it was thought of; form – the form that it comes from,
 * which says the same anew once it is put right.
 */
export interface Order {
  made: Made
  openedOn: number
  options: SaveOptions
  form?: symbol
}

/** What was sent could not be so: nothing else than to put it right helps. */
const WRONG = 422

/** told – sentences on what it did besides, and what did not go along. */
export interface Saved {
  revision: Revision
  told: string[]
}

/** Something that was not saved. It stays until somebody has decided about it. */
export interface Refusal {
  id: number
  order: Order
  error: Refused
}

export interface QueueState {
  /** How many are on their way. */
  sending: number
  refused: Refusal[]
  /** What was saved last and must be seen. */
  done: Saved | undefined
}

/**
 * One queue for saving: one after another, in the order in which they were made. A failure hinders
 * nothing that comes after it, and is never covered by it.
 */
export class SaveQueue {
  /** The number of the last revision that this page saved. */
  lastSaved = 0
  /** The revision that is shown. */
  shown = 0

  /** Tells it the revision that is shown now. */
  shows = (revision: number) => {
    this.shown = revision
  }
  private state: QueueState = { sending: 0, refused: [], done: undefined }
  private readonly listeners = new Set<() => void>()
  private last: Promise<unknown> = Promise.resolve()
  private count = 0

  /** send – what takes an order to the server; settled – what is done after each, saved or not. */
  constructor(
    private readonly send: (order: Order) => Promise<Saved>,
    private readonly settled: () => unknown,
  ) {}

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  snapshot = () => this.state

  /** Resolves once it is saved and everything shown is asked anew; rejects with Refused. */
  save = async (order: Order): Promise<Saved> => {
    this.become({ sending: this.state.sending + 1 })
    const turn = this.last.then(() => this.send(order))
    this.last = turn.catch(() => undefined)
    try {
      const saved = await turn
      this.lastSaved = saved.revision.number
      if (order.form) this.putRight(order.form)
      await this.settled()
      if (order.options.tell && saved.told.length > 0) this.become({ done: saved })
      else if (this.state.done) this.become({ done: undefined })
      return saved
    } catch (error) {
      if (error instanceof Refused) this.keep(order, error)
      await this.settled()
      throw error
    } finally {
      this.become({ sending: this.state.sending - 1 })
    }
  }

  /** Saves once more what was refused, in view of what is there now. */
  again = async (id: number, openedOn: number): Promise<void> => {
    const refusal = this.state.refused.find((one) => one.id === id)
    if (!refusal) return
    this.drop(id)
    // A refusal is kept again by itself.
    await this.save({ ...refusal.order, openedOn }).catch(() => undefined)
  }

  /** Resolves once nothing is on its way. */
  idle = (): Promise<void> =>
    new Promise((resolve) => {
      if (this.state.sending === 0) resolve()
      const stop = this.subscribe(() => {
        if (this.state.sending > 0) return
        stop()
        resolve()
      })
      if (this.state.sending === 0) stop()
    })

  drop = (id: number) => this.become({ refused: this.state.refused.filter((one) => one.id !== id) })

  forget = () => this.become({ done: undefined })

  /** What a form said wrong before is said right now. */
  private putRight(form: symbol) {
    const refused = this.state.refused.filter(
      ({ order, error }) => order.form !== form || error.status !== WRONG,
    )
    if (refused.length < this.state.refused.length) this.become({ refused })
  }

  private keep(order: Order, error: Refused) {
    this.count += 1
    this.become({ refused: [...this.state.refused, { id: this.count, order, error }] })
  }

  private become(members: Partial<QueueState>) {
    this.state = { ...this.state, ...members }
    this.listeners.forEach((listener) => listener())
  }
}
