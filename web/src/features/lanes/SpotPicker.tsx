import { Select } from 'antd'
import { useId } from 'react'
import type { Desk } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import styles from './lanes.module.css'

/** Which place and which mode the lanes show. */
export function SpotPicker(props: { desk: Desk; spot: Spot; onSpot: (spot: Spot) => void }) {
  const { desk, spot, onSpot } = props
  return (
    <p className={styles.spot}>
      <OneOf word="in" list={desk.places} value={spot.place} onPick={(place) => onSpot({ ...spot, place })} />
      <OneOf word="as" list={desk.modes} value={spot.mode} onPick={(mode) => onSpot({ ...spot, mode })} />
    </p>
  )
}

/** A choice of one. */
function OneOf(props: { word: string; list: Desk['modes']; value: string; onPick: (id: string) => void }) {
  const { word, list, value, onPick } = props
  const id = useId()
  // Where there is only one, nothing can be chosen.
  if (list.length < 2) return null
  return (
    <>
      <span id={id}>{word}</span>
      <Select
        aria-labelledby={id}
        value={value}
        options={list.map((item) => ({ value: item.id, label: item.name }))}
        onChange={onPick}
      />
    </>
  )
}
