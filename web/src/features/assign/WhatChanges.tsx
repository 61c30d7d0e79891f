import type { Lane, LaneGesture } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import styles from './assign.module.css'

interface Wait {
  gesture: LaneGesture
  gesture_name: string
  before: string | null
  after: string | null
}

/** Every gesture's wait on this button, before and after, as the core works it out. */
export function WhatChanges(props: { waits: Wait[]; limits: Lane['limits']; refusal: Error | null }) {
  const { waits, limits, refusal } = props
  if (refusal) return <p role="alert">{refusal.message}</p>
  return (
    <section className={styles.changes} aria-label="What this changes">
      <h3>What this changes</h3>
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
      {limits.map((limit) => (
        <p key={limit.gesture} className={styles.limit}>
          {limit.words}
        </p>
      ))}
    </section>
  )
}

function words({ before, after }: Wait): string {
  if (before === null) return `new: ${after ?? ''}`
  if (after === null) return 'no longer'
  return before === after ? `${after}, as before` : `${before} → ${after}`
}
