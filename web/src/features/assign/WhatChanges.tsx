import type { Preview } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import styles from './assign.module.css'

type Touched = Preview['buttons'][number]

/** What a change does, as the core works it out: every wait, what is displaced, whom it serves. */
export function WhatChanges(props: { preview: Preview | undefined; refusal: Error | null }) {
  const { preview, refusal } = props
  if (refusal) return <p role="alert">{refusal.message}</p>
  if (!preview) return null
  const several = preview.buttons.length > 1
  return (
    <section className={styles.changes} aria-label="What this changes">
      <h3>What this changes</h3>
      {preview.buttons.map((touched) => (
        <OneButton key={touched.lane.button.ref} touched={touched} named={several} />
      ))}
      {preview.serves.map((want) => (
        <p key={want} className={styles.serves}>
          Serves the want “{want}”.
        </p>
      ))}
      {preview.loses.map((want) => (
        <p key={want} className={styles.limit}>
          No longer serves the want “{want}”.
        </p>
      ))}
    </section>
  )
}

function OneButton({ touched, named }: { touched: Touched; named: boolean }) {
  const { lane, waits, displaced } = touched
  return (
    <>
      {named && <h4>{lane.button.name}</h4>}
      <dl>
        {waits.map((wait) => (
          <div key={wait.gesture} data-changed={wait.before !== wait.after}>
            <dt>
              <GestureMark gesture={wait.gesture} />{' '}
              {wait.gesture === 'builtin' ? 'untouched' : wait.gesture_name}
            </dt>
            <dd>{words(wait)}</dd>
          </div>
        ))}
      </dl>
      {lane.limits.map((limit) => (
        <p key={limit.gesture} className={styles.limit}>
          {limit.words}
        </p>
      ))}
      {displaced.map((one) => (
        <p key={one.words} className={styles.displaced}>
          {one.words}
        </p>
      ))}
    </>
  )
}

function words({ before, after }: Touched['waits'][number]): string {
  if (before === null) return `new: ${after ?? ''}`
  if (after === null) return 'no longer'
  return before === after ? `${after}, as before` : `${before} → ${after}`
}
