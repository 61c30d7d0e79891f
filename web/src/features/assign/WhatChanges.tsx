import { Button } from 'antd'
import { Refused, type Preview } from '../../shared/api'
import { BothSides, GestureMark } from '../../shared/ui'
import styles from './assign.module.css'
import changesStyles from './changes.module.css'
import { say } from './sentences'

type Touched = Preview['buttons'][number]

/** What a change does, as the core works it out: every wait, what is displaced, whom it serves. */
export function WhatChanges(props: {
  preview: Preview | undefined
  refusal: Error | null
  /** Not known yet: what is shown belongs to nothing else. */
  working?: boolean
  /** Whether what is left out and must be known is shown here too. */
  besides?: boolean
  /** Goes on in view of a revision that somebody else saved. */
  onCatchUp?: (revision: number) => void
}) {
  const { preview, refusal, working = false, besides = true, onCatchUp } = props
  if (refusal) return <Refusal refusal={refusal} onCatchUp={onCatchUp} />
  if (working) return <p className={styles.working}>{say.workingOutWhatChanges}</p>
  if (!preview) return null
  const several = preview.buttons.length > 1
  return (
    <section className={changesStyles.changes} aria-label={say.whatThisChanges}>
      <h3>{say.whatThisChanges}</h3>
      {preview.buttons.map((touched) => (
        <OneButton key={touched.lane.button.ref} touched={touched} named={several} />
      ))}
      {(besides ? [...preview.left_out, ...preview.notes] : []).map((words) => (
        <p key={words} className={changesStyles.displaced}>
          {words}
        </p>
      ))}
      {preview.no_way_back.map((one) => (
        <p key={one.what} className={changesStyles.limit}>
          {one.what} {one.fixes.length > 0 ? say.wayBackOffered : ''}
        </p>
      ))}
      {preview.serves.map((want) => (
        <p key={want} className={changesStyles.serves}>
          {say.servesWant(want)}
        </p>
      ))}
      {preview.loses.map((want) => (
        <p key={want} className={changesStyles.limit}>
          {say.noLongerServesWant(want)}
        </p>
      ))}
    </section>
  )
}

/** Why it can’t be; where somebody else changed the same meanwhile, both sides and the way on. */
function Refusal(props: { refusal: Error; onCatchUp: ((revision: number) => void) | undefined }) {
  const { refusal, onCatchUp } = props
  const { newest, theirs = [], mine = [] } = refusal instanceof Refused ? refusal.problem : {}
  if (!newest || !onCatchUp) return <p role="alert">{refusal.message}</p>
  return (
    <section role="alert" className={changesStyles.changes}>
      <p>{say.savedRevisionBetweenChanged(newest.author, String(newest.number))}</p>
      <BothSides author={newest.author} theirs={theirs} mine={mine} />
      <Button onClick={() => onCatchUp(newest.number)}>{say.goTop}</Button>
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
              <GestureMark gesture={wait.gesture} /> {wait.gesture_name}
            </dt>
            <dd>{words(wait)}</dd>
          </div>
        ))}
      </dl>
      {lane.limits.map((limit) => (
        <p key={limit.what} className={changesStyles.limit}>
          {limit.what}
        </p>
      ))}
      {displaced.map((one) => (
        <p key={one.what} className={changesStyles.displaced}>
          {one.what}
        </p>
      ))}
    </>
  )
}

function words({ before, after }: Touched['waits'][number]): string {
  if (before === null) return say.newWait(after ?? '')
  if (after === null) return say.noLonger
  return before === after ? say.asBefore(after) : `${before} → ${after}`
}
