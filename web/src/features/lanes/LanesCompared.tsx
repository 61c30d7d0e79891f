import { Button } from 'antd'
import { useMemo } from 'react'
import { Waiting } from '../../shared/plain'
import type { Desk, Lane } from '../../shared/api'
import { useOldLanes, type Spot } from '../../shared/fitting'
import { LookOnly } from '../../shared/session'
import { Axis } from './Axis'
import { LaneRow } from './LaneRow'
import { scalesFor } from './scale'
import { useStripWidths } from './useStripWidths'
import styles from './lanes.module.css'
import barsStyles from './bars.module.css'
import { say } from './sentences'

export interface Compared {
  from: number
  to: number
}

interface Props {
  desk: Desk
  spot: Spot
  compared: Compared
  onClose: () => void
}

const nothing = () => undefined

/** The lanes of the buttons that differ between two revisions, one above the other; only to be looked at. */
export function LanesCompared({ desk, spot, compared, onClose }: Props) {
  const before = useOldLanes(desk.id, spot, compared.from)
  const after = useOldLanes(desk.id, spot, compared.to)
  const pairs = useMemo(
    () => differing(before.data?.lanes ?? [], after.data?.lanes ?? []),
    [before.data, after.data],
  )
  const scales = useMemo(() => scalesFor(pairs.flatMap(({ lanes }) => lanes)), [pairs])
  const { widths, ref } = useStripWidths()
  const error = before.error ?? after.error
  return (
    <section aria-labelledby="compared-title">
      <div className={barsStyles.head}>
        <h2 id="compared-title">{say.revisionRevision(String(compared.from), String(compared.to))}</h2>
        <Button onClick={onClose}>{say.backLanesAsThey}</Button>
      </div>
      {error && <p role="alert">{error.message}</p>}
      {!error && !(before.data && after.data) && <Waiting />}
      {before.data && after.data && pairs.length === 0 && (
        <p className={styles.none}>{say.noLaneDiffersThis}</p>
      )}
      <LookOnly value={true}>
        <div className={styles.lanes}>
          {pairs.length > 0 && <Axis scales={scales} widths={widths} ref={ref} />}
          {widths &&
            pairs.map(({ ref, name, one, other }) => (
              <section key={ref} className={barsStyles.compared} aria-label={name}>
                <h3>{name}</h3>
                {[
                  { number: compared.from, lane: one },
                  { number: compared.to, lane: other },
                ].map(({ number, lane }) => (
                  <div key={number}>
                    {lane ? (
                      <LaneRow
                        client={desk.id}
                        spot={spot}
                        lane={lane}
                        label={say.revision(String(number))}
                        scales={scales}
                        widths={widths}
                        chosen={undefined}
                        onChoose={nothing}
                      />
                    ) : (
                      <p>{say.revisionNotThere(String(number))}</p>
                    )}
                  </div>
                ))}
              </section>
            ))}
        </div>
      </LookOnly>
    </section>
  )
}

function differing(before: Lane[], after: Lane[]) {
  const refs = new Set([...before, ...after].map((lane) => lane.button.ref))
  return [...refs].flatMap((ref) => {
    const one = before.find((lane) => lane.button.ref === ref)
    const other = after.find((lane) => lane.button.ref === ref)
    if (JSON.stringify(one) === JSON.stringify(other)) return []
    const lanes = [one, other].filter((lane) => lane !== undefined)
    return [{ ref, name: lanes[0]?.button.full_name ?? ref, one, other, lanes }]
  })
}
