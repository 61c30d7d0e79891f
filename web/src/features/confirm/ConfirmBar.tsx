import { Button } from 'antd'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { api, must, type Desk } from '../../shared/api'
import { ofTheFitting } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { useAnnounce } from '../../shared/ui'
import { useHeardAnyway } from '../bench'
import styles from './confirm.module.css'

type Confirm = NonNullable<Desk['confirm']>

/** The button one confirms with was changed: the one that has the job now confirms it, in time. */
export function ConfirmBar({ desk }: { desk: Desk }) {
  const mayChange = useMayChange()
  if (!desk.confirm || !mayChange) return null
  return <Waiting key={desk.confirm.revision} client={desk.id} confirm={desk.confirm} />
}

function Waiting({ client, confirm }: { client: string; confirm: Confirm }) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  const [heard, setHeard] = useState('')
  const heading = useRef<HTMLHeadingElement>(null)
  // Time runs: wherever the focus was, it comes here.
  useEffect(() => heading.current?.focus(), [])
  const names = confirm.buttons.map((button) => button.name).join(' or ')
  const anew = useCallback(
    () => Promise.all(ofTheFitting.map((key) => queries.invalidateQueries({ queryKey: [key] }))),
    [queries],
  )
  const left = useLeft(confirm.left_ms, anew)

  const tell = useCallback(
    async (body: { source: string } | { take_back: true }) => {
      const answer = await must(
        api.POST('/api/clients/{client}/confirmations', { params: { path: { client } }, body }),
      )
      announce(answer.words)
      setHeard(answer.words)
      if (answer.state !== 'waiting') await anew()
    },
    [client, announce, anew],
  )
  useHeardAnyway(
    confirm.sources,
    confirm.buttons.map((button) => button.ref),
    (source) => void tell({ source }),
  )
  useEffect(() => {
    announce(
      `Press ${names} to keep the change. It is taken back in ${String(Math.ceil(confirm.left_ms / 1000))} seconds.`,
    )
  }, [announce, names, confirm.left_ms])

  return (
    <section className={styles.bar} aria-labelledby="confirm-title">
      <div className={styles.says}>
        <h2 id="confirm-title" ref={heading} tabIndex={-1}>
          Press {names} to keep the change
        </h2>
        <p>
          It clicks and confirms from now on, in place of{' '}
          {confirm.lost.map((button) => button.name).join(', ')}.
          {confirm.heard_as.length > 0 && ` A browser hears it as ${confirm.heard_as.join(', ')}`}
          {confirm.heard_as.length > 0 ? '; what' : ' What'} is bound to it on the bench confirms too.{' '}
          <strong>{heard}</strong>
        </p>
      </div>
      <span className={styles.left}>
        {left} s<span className="seen-by-readers-only"> left</span>
      </span>
      <div className={styles.patch} data-hears-primary>
        Press it here
      </div>
      <Button data-never-heard onClick={() => void tell({ take_back: true })}>
        Take it back now
      </Button>
    </section>
  )
}

/** Seconds left; when none is, what the server made of it is asked for. */
function useLeft(leftMs: number, onOver: () => unknown): number {
  const [until] = useState(() => performance.now() + leftMs)
  const [left, setLeft] = useState(Math.ceil(leftMs / 1000))
  useEffect(() => {
    const tick = window.setInterval(() => {
      const ms = until - performance.now()
      setLeft(Math.max(0, Math.ceil(ms / 1000)))
      if (ms <= 0) void onOver()
    }, 500)
    return () => window.clearInterval(tick)
  }, [until, onOver])
  return left
}
