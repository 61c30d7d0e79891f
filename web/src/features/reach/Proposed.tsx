import { Button, Checkbox } from 'antd'
import { useMemo, useState } from 'react'
import type { ButtonChange, Change, ProposalResult } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Faults } from '../../shared/ui'
import { WhatChanges } from '../assign'
import { Curve } from './Curve'
import { Rests } from './Rests'
import { less } from './less'
import { say } from './sentences'
import styles from './reach.module.css'

/** What each number of changes comes to; the chosen one, whole or in part. */
export function Proposed(props: {
  client: string
  result: ProposalResult
  onMeasure: (button: string) => void
  onTaken: () => void
}) {
  const { client, result, onMeasure, onTaken } = props
  const { steps, status, rules, gap } = result
  const [count, setCount] = useState<number>()
  if (status === 'impossible')
    return (
      <div role="alert">
        <p>{say.impossible}</p>
        <ul>
          {rules.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </div>
    )
  const first = steps[0]
  if (!first) return <p role="status">{say.stopped}</p>
  if (steps.length === 1) return <p role="status">{say.noBetter}</p>
  // The first change is what helps most: it is looked at first.
  const step = steps.find(({ changes }) => changes === count) ?? steps[1] ?? first
  return (
    <>
      <Curve steps={steps} chosen={step.changes} onChoose={setCount} />
      <p role="status">
        <strong>{say.saves(say.changes(step.changes), less(first, step))}</strong>{' '}
        {status === 'stopped'
          ? `${say.stopped} ${gap === null ? '' : say.gap((gap * 100).toFixed(1))}`
          : say.proven(say.changes(step.changes))}
      </p>
      {step.missing.length > 0 && <p>{say.missing(step.missing.join(', '))}</p>}
      {step.changes > 0 && <Take key={step.changes} client={client} step={step} onTaken={onTaken} />}
      <Rests result={result} onMeasure={onMeasure} />
    </>
  )
}

type Step = ProposalResult['steps'][number]

/** All or some of it, shown with what it would change before it is done. */
function Take({ client, step, onTaken }: { client: string; step: Step; onTaken: () => void }) {
  const mayChange = useMayChange()
  // Two of them may read alike: where two devices have one name.
  const all = useMemo(
    () =>
      [
        ...step.gives_way.map(({ words, change }) => ({ words, change })),
        ...step.put.map(({ words, way, change }) => ({
          words: way === 2 ? `${words} (${say.second})` : words,
          change,
        })),
      ].map((one, at) => ({ ...one, id: String(at) })),
    [step],
  )
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set())
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const made = useMemo((): Change | undefined => {
    const changes: ButtonChange[] = all.filter(({ id }) => !left.has(id)).map((one) => one.change)
    return changes.length > 0 ? { kind: 'several', changes } : undefined
  }, [all, left])
  const preview = usePreview(client, made, openedOn)
  const take = async () => {
    if (made && (await change(made, say.taken, { tell: true }))) onTaken()
  }
  const toggle = (id: string, chosen: boolean) => {
    const next = new Set(left)
    if (chosen) next.delete(id)
    else next.add(id)
    setLeft(next)
  }
  return (
    <section aria-label={say.take} className={styles.take}>
      <h3>{say.take}</h3>
      {all.map(({ id, words }) => (
        <Checkbox
          key={id}
          className={styles.one ?? ''}
          disabled={!mayChange}
          checked={!left.has(id)}
          onChange={({ target }) => toggle(id, target.checked)}
        >
          {words}
        </Checkbox>
      ))}
      {made ? (
        <WhatChanges
          preview={preview.data}
          refusal={preview.error}
          working={preview.working}
          onCatchUp={catchUp}
        />
      ) : (
        <p>{say.chooseSome}</p>
      )}
      <Faults refused={refused} />
      {mayChange && (
        <Button type="primary" loading={busy} disabled={!preview.data} onClick={() => void take()}>
          {say.takeThem}
        </Button>
      )}
    </section>
  )
}
