import { Radio, Select, Spin } from 'antd'
import { useId, useState } from 'react'
import type { Desk, Device } from '../../shared/api'
import { useLanes, type Spot } from '../../shared/fitting'
import type { Chosen } from '../assign'
import { Axis } from './Axis'
import { LaneRow } from './LaneRow'
import { LanesTable } from './LanesTable'
import { scalesFor } from './scale'
import styles from './lanes.module.css'

interface Props {
  desk: Desk
  devices: Device[]
  spot: Spot
  onSpot: (spot: Spot) => void
  chosen: Chosen | undefined
  onChoose: (chosen: Chosen) => void
}

function SpotPicker({ desk, spot, onSpot }: Pick<Props, 'desk' | 'spot' | 'onSpot'>) {
  return (
    <p className={styles.spot}>
      <OneOf
        word="Where"
        list={desk.places}
        value={spot.place}
        onPick={(place) => onSpot({ ...spot, place })}
      />
      <OneOf word="Mode" list={desk.modes} value={spot.mode} onPick={(mode) => onSpot({ ...spot, mode })} />
    </p>
  )
}

/** A choice of one, in plain words where there is only one. */
function OneOf(props: { word: string; list: Desk['places']; value: string; onPick: (id: string) => void }) {
  const { word, list, value, onPick } = props
  const id = useId()
  return (
    <>
      <span id={id}>{word}:</span>
      {list.length > 1 ? (
        <Select
          aria-labelledby={id}
          value={value}
          options={list.map((item) => ({ value: item.id, label: item.name }))}
          onChange={onPick}
        />
      ) : (
        <strong>{list[0]?.name}</strong>
      )}
    </>
  )
}

/** What each button does: as lanes to scale, or the same as a plain table. */
export function Lanes({ desk, devices, spot, onSpot, chosen, onChoose }: Props) {
  const [view, setView] = useState<'lanes' | 'table'>('lanes')
  const answer = useLanes(desk.id, spot)
  const deviceOf = new Map(
    devices.flatMap((device) => device.buttons.map((button) => [button.ref, device.name])),
  )
  const lanes = answer.data?.lanes.filter((lane) => deviceOf.has(lane.button.ref))

  return (
    <section aria-labelledby="lanes-title">
      <div className={styles.head}>
        <h2 id="lanes-title">What each button does</h2>
        <SpotPicker desk={desk} spot={spot} onSpot={onSpot} />
        <Radio.Group
          aria-label="Show as"
          optionType="button"
          buttonStyle="solid"
          value={view}
          onChange={(event) => setView(event.target.value as 'lanes' | 'table')}
          options={[
            { value: 'lanes', label: 'Lanes' },
            { value: 'table', label: 'Table' },
          ]}
        />
      </div>
      {answer.error && <p role="alert">{answer.error.message}</p>}
      {!lanes && !answer.error && <Spin />}
      {lanes?.length === 0 && <p className={styles.none}>Choose a device on the left to see its buttons.</p>}
      {lanes && lanes.length > 0 && view === 'table' && <LanesTable lanes={lanes} onChoose={onChoose} />}
      {lanes && lanes.length > 0 && view === 'lanes' && (
        <div className={styles.lanes}>
          <Axis scales={scalesFor(lanes)} />
          {lanes.map((lane) => (
            <LaneRow
              key={lane.button.ref}
              client={desk.id}
              revision={answer.data?.revision ?? 0}
              lane={lane}
              device={devices.length > 1 ? deviceOf.get(lane.button.ref) : undefined}
              scales={scalesFor(lanes)}
              chosen={chosen?.button.ref === lane.button.ref ? chosen.gesture : undefined}
              onChoose={onChoose}
            />
          ))}
        </div>
      )}
    </section>
  )
}
