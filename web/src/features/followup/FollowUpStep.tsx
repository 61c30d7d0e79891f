import { Select } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { api, keys, must, type Desk, type FollowUpData } from '../../shared/api'
import { useChange, useRevision } from '../../shared/fitting'
import { PlainInput, Waiting } from '../../shared/plain'
import { useMayChange } from '../../shared/session'
import { OF_PEOPLE } from '../../shared/text'
import { Field, StepFrame } from '../../shared/ui'
import { OnTheDevices, OpenFindings } from './Now'
import { Part } from './Part'
import { say } from './sentences'
import styles from './followup.module.css'

const DAY = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })
const at = (time: string) => DAY.format(new Date(time))

/** What changed since last time and who did it, what works, what is on the devices, and when one comes again. */
export function FollowUpStep({ desk }: { desk: Desk }) {
  const [since, setSince] = useState<number>()
  const { data, error } = useQuery({
    queryKey: keys.followUp(desk.id, useRevision(), since),
    placeholderData: (before) => before,
    queryFn: () =>
      must(
        api.GET('/api/clients/{client}/follow-up', {
          params: { path: { client: desk.id }, query: since === undefined ? {} : { since } },
        }),
      ),
  })
  return (
    <StepFrame title={say.title} stands={data && say.revisions(data.changed.length)}>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting />}
      {data && (
        <>
          <div className={styles.head}>
            <Field label={say.since}>
              <Select value={data.since} onChange={setSince} options={choicesOf(data)} />
            </Field>
            <NextVisit key={data.next_visit} day={data.next_visit} />
          </div>
          <div className={styles.parts}>
            <Changed data={data} />
            <Wants wants={data.wants} />
            <OnTheDevices desk={desk} />
            <OpenFindings desk={desk} />
            <Part title={say.givenUp} none={say.nothingGivenUp}>
              {data.given_up.map((one) => say.gaveUp(one.words, at(one.at), one.by))}
            </Part>
          </div>
        </>
      )}
    </StepFrame>
  )
}

/** The days on which it was worked on; the one that is chosen too, where it is of none. */
function choicesOf({ days, since, changed }: FollowUpData) {
  const listed = days.map(({ number, at: time, by }) => ({
    value: number,
    label: say.day(at(time), String(number), by),
  }))
  if (listed.some(({ value }) => value === since)) return listed
  const first = changed[0]
  return [
    ...listed,
    { value: since, label: say.day(first ? at(first.at) : '', String(since), first?.by ?? '') },
  ]
}

function NextVisit({ day }: { day: string | null }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  const [value, setValue] = useState(day ?? '')
  const save = () => {
    if (value !== (day ?? '')) void change({ kind: 'next_visit', day: value || null }, say.visitSet)
  }
  return (
    <Field label={say.nextVisit}>
      <PlainInput
        type="date"
        disabled={!mayChange || busy}
        value={value}
        onChange={(event) => setValue(event.target.value)}
        onBlur={save}
      />
    </Field>
  )
}

function Changed({ data: { differs, changed } }: { data: FollowUpData }) {
  return (
    <Part title={say.differs} none={say.nothing} wide>
      {differs}
      {changed.length > 0 && (
        <details>
          <summary>{say.oneByOne}</summary>
          {changed.map((one) => (
            <section key={one.number}>
              <h4>{say.saved(String(one.number), at(one.at), one.by)}</h4>
              {one.note && <p>{one.note}</p>}
              <ul>
                {one.words.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </section>
          ))}
        </details>
      )}
    </Part>
  )
}

function Wants({ wants }: { wants: FollowUpData['wants'] }) {
  const now = wants.filter(({ works }) => works)
  const not = wants.filter(({ works }) => !works)
  return (
    <>
      <Part title={say.works} none={say.noWants}>
        {now.map(({ id, what, was }) => (
          <span key={id}>
            {what} {was !== true && <b>{say.gained}</b>}
          </span>
        ))}
      </Part>
      <Part title={say.worksNot} none={say.noWants}>
        {not.map(({ id, what, was }) => (
          <span key={id}>
            {what} {was === true && <b>{say.lost}</b>}
          </span>
        ))}
      </Part>
    </>
  )
}
