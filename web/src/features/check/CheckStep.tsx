import { Button, InputNumber } from 'antd'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Checked, Desk } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Field, StepFrame } from '../../shared/ui'
import { Waiting } from '../../shared/plain'
import { nameOf, placeOf } from './found'
import { KnownBy } from './KnownBy'
import { useCheck } from './queries'
import { say } from './sentences'
import styles from './check.module.css'

interface Props {
  desk: Desk
  chosen: string | undefined
  onChoose: (finding: string) => void
}

const PARTS = [
  { bad: 'serious', title: say.serious },
  { bad: 'look', title: say.look },
] as const

/** What is wrong before it hurts, the worst first; and what was looked for and not found. */
export function CheckStep({ desk, chosen, onChoose }: Props) {
  const { data, error } = useCheck(desk.id)
  const open = data?.findings.filter((one) => !one.known) ?? []
  const known = data?.findings.filter((one) => one.known) ?? []
  const of = (bad: Checked['bad']) => open.filter((one) => one.bad === bad)
  const parts = [
    ...PARTS.map(({ bad, title }) => ({ title, findings: of(bad) })),
    { title: say.known, findings: known },
  ].filter(({ findings }) => findings.length > 0)
  return (
    <StepFrame title={say.title} stands={data && say.counts(of('serious').length, of('look').length)}>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting />}
      {open.length === 0 && data && <p>{say.nothing}</p>}
      {parts.map(({ title, findings }) => (
        <section key={title} aria-label={title} className={styles.part}>
          <h3>{title}</h3>
          <ul className={styles.findings}>
            {findings.map((one) => (
              <Row key={nameOf(one)} finding={one} desk={desk} chosen={chosen} onChoose={onChoose} />
            ))}
          </ul>
        </section>
      ))}
      {data && data.left_out.length > 0 && <p role="alert">{say.leftOut(data.left_out.join(', '))}</p>}
      {data && data.looked_for.length > 0 && (
        <p className={styles.quiet}>{say.notFound(data.looked_for.join(', '))}</p>
      )}
      <Bears desk={desk} />
    </StepFrame>
  )
}

function Row({ finding, desk, chosen, onChoose }: Props & { finding: Checked }) {
  const name = nameOf(finding)
  return (
    <li
      className={styles.finding}
      data-bad={finding.known ? 'known' : finding.bad}
      data-chosen={chosen === name}
    >
      <span aria-hidden="true">{signOf(finding)}</span>
      <p>
        {finding.what}
        {(finding.known ?? finding.again) && <KnownBy finding={finding} />}
      </p>
      <div>
        <Link to={placeOf(finding, desk)} aria-label={say.showOf(finding.what)}>
          {say.show}
        </Link>
        <Button aria-label={say.mendOf(finding.what)} onClick={() => onChoose(name)}>
          {say.mend}
        </Button>
      </div>
    </li>
  )
}

/** Only a help for the eye: what it is stands over it. */
const signOf = ({ known, bad }: Checked) => (known ? '✓' : bad === 'serious' ? '!' : '?')

/** How long this client bears to wait; what waits longer is found. Saved once it is left or confirmed. */
function Bears({ desk }: { desk: Desk }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const [ms, setMs] = useState<number | null>(null)
  if (!mayChange) return null
  const save = () => {
    if (ms !== null && ms !== desk.bears_ms) void change({ kind: 'bears', ms }, say.bearsSet(ms))
    setMs(null)
  }
  return (
    <div className={styles.bears}>
      <Field label={say.bears}>
        <InputNumber
          min={50}
          max={5000}
          step={50}
          precision={0}
          disabled={busy}
          value={ms ?? desk.bears_ms}
          onChange={setMs}
          onBlur={save}
          onPressEnter={save}
        />
      </Field>
    </div>
  )
}
