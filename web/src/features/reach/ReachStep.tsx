import { Button, Select } from 'antd'
import { useState } from 'react'
import type { Desk, ReachData } from '../../shared/api'
import { useHistory } from '../../shared/fitting'
import { Waiting } from '../../shared/plain'
import { Field, StepFrame } from '../../shared/ui'
import { MapTable } from './MapTable'
import { useReach } from './queries'
import { say } from './sentences'
import styles from './reach.module.css'

interface Props {
  desk: Desk
  /** Ids of the devices that are looked at. */
  shown: string[]
  without: string[]
  onWithout: (without: string[]) => void
  onPropose: () => void
}

/** Which wants work, from where, how well, and what hangs on a single button. */
export function ReachStep({ desk, shown, without, onWithout, onPropose }: Props) {
  const [against, setAgainst] = useState<number>()
  const { data, error } = useReach(desk.id, without, against)
  const devices = desk.hosts.flatMap((host) => host.devices)
  return (
    <StepFrame title={say.title(desk.name)} stands={data && say.stands(data.day.undone)}>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting />}
      <div className={styles.head}>
        <Field label={say.without}>
          <Select
            mode="multiple"
            className={styles.wide ?? ''}
            value={without}
            placeholder={say.withoutNone}
            onChange={onWithout}
            options={devices.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </Field>
        <Button type="primary" onClick={onPropose}>
          {say.propose}
        </Button>
      </div>
      {data && data.wants.length === 0 && <p>{say.noWants}</p>}
      {data && devices.length === 0 && <p>{say.noDevices}</p>}
      {data && data.wants.length > 0 && devices.length > 0 && <MapTable data={data} shown={shown} />}
      {data && data.wants.length > 0 && (
        <>
          <Day data={data} />
          <Against desk={desk} against={against} onAgainst={setAgainst} />
          {data.before && <BeforeDay before={data.before} />}
        </>
      )}
      {data && data.thin.length > 0 && (
        <section aria-label={say.thin} className={styles.thin}>
          <h3>{say.thin}</h3>
          <ul>
            {data.thin.map(({ what }) => (
              <li key={what}>{what}</li>
            ))}
          </ul>
        </section>
      )}
    </StepFrame>
  )
}

const minutes = (seconds: number) => (seconds / 60).toFixed(1)

/** Presses, time and what goes wrong; by the part of the body. */
function Day({ data: { day } }: { data: ReachData }) {
  return (
    <p className={styles.day} role="status">
      <strong>{say.aDay}:</strong>{' '}
      {[
        say.dayPresses(day.presses),
        say.dayMinutes(minutes(day.seconds)),
        say.dayWrong(day.wrong.toFixed(1)),
        ...(day.undone > 0 ? [say.dayUndone(day.undone)] : []),
        ...day.parts.map(({ part, presses }) => say.part(presses, part)),
      ].join(' · ')}
    </p>
  )
}

function Against(props: {
  desk: Desk
  against: number | undefined
  onAgainst: (revision: number | undefined) => void
}) {
  const { desk, against, onAgainst } = props
  const history = useHistory(desk.id)
  const numbers = history.data?.pages.flatMap((page) => page.revisions.map(({ number }) => number)) ?? []
  return (
    <Field label={say.against}>
      <Select
        className={styles.narrow ?? ''}
        allowClear
        placeholder={say.againstNone}
        value={against}
        onChange={onAgainst}
        options={numbers
          .filter((number) => number !== desk.revision.number)
          .map((number) => ({ value: number, label: String(number) }))}
      />
    </Field>
  )
}

function BeforeDay({ before }: { before: NonNullable<ReachData['before']> }) {
  const day = before.day as { presses: number; seconds: number; wrong: number; undone: number }
  return (
    <p className={styles.day}>
      <strong>{say.againstDay(String(before.revision))}:</strong>{' '}
      {[
        say.dayPresses(day.presses),
        say.dayMinutes(minutes(day.seconds)),
        say.dayWrong(day.wrong.toFixed(1)),
        ...(day.undone > 0 ? [say.dayUndone(day.undone)] : []),
      ].join(' · ')}
    </p>
  )
}
