import { useState, type FormEvent } from 'react'
import type { HandLine, HandListData } from '../api'
import { PlainButton, PlainInput } from '../plain'
import { OF_PEOPLE } from '../text'
import { say } from './sentences'
import styles from './handlist.module.css'

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })

export type Tick = 'set' | 'cant' | 'open'

interface Props {
  list: HandListData
  /** What its headings are below. */
  heading: 'h2' | 'h3'
  /** Who only looks has none. */
  onTick?: ((line: HandLine, tick: Tick, why?: string) => Promise<boolean>) | undefined
}

/** What people set on a device themselves: one value at a time, large, and all of them below. */
export function HandList({ list: { lines }, heading: Heading, onTick }: Props) {
  const [at, setAt] = useState<number>()
  const firstOpen = lines.findIndex(({ tick }) => tick === null)
  const shown = at ?? Math.max(firstOpen, 0)
  const line = lines[shown]
  const ticked = lines.filter(({ tick }) => tick !== null)
  const set = ticked.filter(({ tick }) => tick?.set)
  if (!line) return <p>{say.nothing}</p>
  const tick = async (what: Tick, why?: string) => {
    if (!(await onTick?.(line, what, why)) || what === 'open') return
    // On to the next that is open; at the end to the first that was passed over.
    const later = lines.findIndex((one, index) => index > shown && one.tick === null)
    setAt(later === -1 ? undefined : later)
  }
  return (
    <div className={styles.list}>
      <p role="status">
        {say.through(set.length, lines.length, ticked.length - set.length)}
        {ticked.length === lines.length && <strong> {say.done}</strong>}
      </p>
      <section className={styles.one} aria-label={say.numbered(String(shown + 1), String(lines.length))}>
        <p className={styles.number}>{say.numbered(String(shown + 1), String(lines.length))}</p>
        <Heading>{line.what}</Heading>
        <p className={styles.value}>{line.value}</p>
        <dl>
          <dt>{say.where}</dt>
          <dd>{line.where}</dd>
          <dt>{say.see}</dt>
          <dd>{line.see}</dd>
          <dt>{say.undo}</dt>
          <dd>{line.undo}</dd>
        </dl>
        <Standing line={line} />
        {onTick && <Ticking key={line.key + line.mark} line={line} onTick={tick} />}
        <div className={styles.row}>
          <PlainButton disabled={shown === 0} onClick={() => setAt(shown - 1)}>
            {say.before}
          </PlainButton>
          <PlainButton disabled={shown === lines.length - 1} onClick={() => setAt(shown + 1)}>
            {say.next}
          </PlainButton>
        </div>
      </section>
      <Heading>{say.all}</Heading>
      <ol className={styles.all}>
        {lines.map((one, index) => (
          <li key={one.key + one.mark}>
            <button type="button" aria-current={index === shown} onClick={() => setAt(index)}>
              <span>{one.what}</span> <strong>{one.value}</strong> <Standing line={one} short />
            </button>
          </li>
        ))}
      </ol>
    </div>
  )
}

function Standing({ line: { tick }, short = false }: { line: HandLine; short?: boolean }) {
  if (!tick) return short ? <small>{say.stillOpen}</small> : null
  const at = TIME.format(new Date(tick.at))
  if (short) return <small>{tick.set ? say.set : say.cant}</small>
  return <p>{tick.set ? say.wasSet(tick.by, at) : say.wasCant(tick.by, at, tick.why)}</p>
}

/** Set and seen, or not, and why. */
function Ticking({ line, onTick }: { line: HandLine; onTick: (tick: Tick, why?: string) => Promise<void> }) {
  const [asking, setAsking] = useState(false)
  const [why, setWhy] = useState('')
  const [busy, setBusy] = useState(false)
  const run = async (tick: Tick, because?: string) => {
    setBusy(true)
    await onTick(tick, because)
    setBusy(false)
  }
  if (line.tick)
    return (
      <PlainButton busy={busy} onClick={() => void run('open')}>
        {say.open}
      </PlainButton>
    )
  if (asking)
    return (
      <form
        className={styles.why}
        onSubmit={(event: FormEvent) => {
          event.preventDefault()
          void run('cant', why)
        }}
      >
        <label>
          {say.why}
          <PlainInput required maxLength={300} value={why} onChange={(event) => setWhy(event.target.value)} />
        </label>
        <PlainButton type="submit" first busy={busy}>
          {say.keepWhy}
        </PlainButton>
      </form>
    )
  return (
    <div className={styles.row}>
      <PlainButton first busy={busy} onClick={() => void run('set')}>
        {say.set}
      </PlainButton>
      <PlainButton disabled={busy} onClick={() => setAsking(true)}>
        {say.cant}
      </PlainButton>
    </div>
  )
}
