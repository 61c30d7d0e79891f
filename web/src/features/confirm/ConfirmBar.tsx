import { either } from '../../shared/text'
import { Button } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { api, must, PAGE, type Desk } from '../../shared/api'
import { askedAnew } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { useAnnounce } from '../../shared/ui'
import { useHeardAnyway } from '../bench'
import styles from './confirm.module.css'
import { say } from './sentences'

type Confirm = NonNullable<Desk['confirm']>
/** A server that does not answer is asked again after so long. */
const ASK_AGAIN_MS = 2000

/** The button one confirms with was changed: the one that has the job now confirms it, in time. */
export function ConfirmBar({ desk }: { desk: Desk }) {
  const mayChange = useMayChange()
  useHowItEnded(desk)
  if (!desk.confirm || !mayChange) return null
  return <Waiting key={desk.confirm.revision} client={desk.id} confirm={desk.confirm} />
}

/** When nothing is to be confirmed any more: was it confirmed, or is it gone? */
function useHowItEnded({ confirm, revision }: Desk) {
  const announce = useAnnounce()
  const last = useRef<number>(undefined)
  useEffect(() => {
    if (!confirm && last.current !== undefined)
      announce(last.current === revision.number ? say.confirmedChangeStays : say.thereNothingConfirmAny)
    last.current = confirm ? revision.number : undefined
  }, [confirm, revision.number, announce])
}

function Waiting({ client, confirm }: { client: string; confirm: Confirm }) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  const [heard, setHeard] = useState('')
  const heading = useRef<HTMLHeadingElement>(null)
  const mine = confirm.page === PAGE
  // Time runs: to whoever made the change the focus comes; nobody else is torn out of what they do.
  useEffect(() => {
    if (mine) heading.current?.focus()
  }, [mine])
  const names = either(confirm.buttons.map((button) => button.name))
  const anew = useCallback(() => askedAnew(queries, client), [queries, client])
  const left = useLeft(confirm.left_ms, anew)

  const tell = async (body: { more_time: true } | { take_back: true }) => {
    try {
      const answer = await must(
        api.POST('/api/clients/{client}/confirmations', { params: { path: { client } }, body }),
      )
      announce(answer.words)
      setHeard(answer.words)
      await anew()
    } catch (error) {
      const why = error instanceof Error ? error.message : ''
      setHeard(say.thatDidNotReach(why))
    }
  }
  useHeardAnyway(
    confirm.sources,
    confirm.buttons.map((button) => button.ref),
    () => setHeard(say.heard),
  )
  const [announced] = useState(say.pressKeepChangeTaken(names, String(Math.ceil(confirm.left_ms / 1000))))
  useEffect(() => announce(announced), [announce, announced])

  return (
    <section className={styles.bar} aria-labelledby="confirm-title">
      <div className={styles.says}>
        <h2 id="confirm-title" ref={heading} tabIndex={-1}>
          {say.pressKeepChange(names)}
        </h2>
        <p>
          {say.clicksConfirmsFromNow(confirm.lost.map((button) => button.name).join(', '))}{' '}
          {confirm.heard_as.length > 0 ? say.heardAsAndBound(confirm.heard_as.join(', ')) : say.boundConfirms}{' '}
          <strong role="status">{heard}</strong>
        </p>
      </div>
      <span className={styles.left}>
        {say.seconds(left)}
        <span className="seen-by-readers-only"> {say.left}</span>
      </span>
      <div className={styles.patch} data-hears-primary>
        {say.pressHere}
      </div>
      <Button data-never-heard onClick={() => void tell({ more_time: true })}>
        {say.moreTime}
      </Button>
      <Button data-never-heard onClick={() => void tell({ take_back: true })}>
        {say.takeBackNow}
      </Button>
    </section>
  )
}

/** Seconds left; when none is, what the server made of it is asked for. */
function useLeft(leftMs: number, onOver: () => unknown): number {
  const [left, setLeft] = useState(Math.ceil(leftMs / 1000))
  useEffect(() => {
    const until = performance.now() + leftMs
    let asked = -Infinity
    const tick = window.setInterval(() => {
      const now = performance.now()
      setLeft(Math.max(0, Math.ceil((until - now) / 1000)))
      if (now < until || now - asked < ASK_AGAIN_MS) return
      asked = now
      void onOver()
    }, 500)
    return () => window.clearInterval(tick)
  }, [leftMs, onOver])
  return left
}
