import { Select } from 'antd'
import type { Desk } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import styles from './bars.module.css'
import { say } from './sentences'

type New = 'new-place' | 'new-mode'

/** Which place and which mode the lanes show; a new one can be made from here. */
export function SpotPicker(props: {
  desk: Desk
  spot: Spot
  onSpot: (spot: Spot) => void
  onNew: ((of: New) => void) | undefined
}) {
  const { desk, spot, onSpot, onNew } = props
  return (
    <div className={styles.spot} role="group" aria-label={say.whereLooked}>
      <OneOf
        word={say.inPlace}
        list={desk.places.map((one) => ({
          id: one.id,
          name: one.off ? say.inPlaceOff(one.name) : say.inPlaceNamed(one.name),
        }))}
        value={spot.place}
        onPick={(place) => onSpot({ ...spot, place })}
        another={onNew && { name: say.anotherPlace, run: () => onNew('new-place') }}
      />
      <OneOf
        word={say.whilst}
        list={desk.modes.map((one) => ({
          id: one.id,
          name: one.id === 'base' ? one.name : say.whileMode(one.name),
        }))}
        value={spot.mode}
        onPick={(mode) => onSpot({ ...spot, mode })}
        another={onNew && { name: say.anotherMode, run: () => onNew('new-mode') }}
      />
    </div>
  )
}

const ANOTHER = ''

/** A choice of one, or the way to another. */
function OneOf(props: {
  word: string
  list: { id: string; name: string }[]
  value: string
  onPick: (id: string) => void
  another: { name: string; run: () => void } | undefined
}) {
  const { word, list, value, onPick, another } = props
  // Where there is only one, nothing can be chosen.
  if (list.length < 2 && !another) return null
  const options = list.map((item) => ({ value: item.id, label: item.name }))
  return (
    <Select
      aria-label={word}
      value={value}
      popupMatchSelectWidth={false}
      options={another ? [...options, { value: ANOTHER, label: another.name }] : options}
      onChange={(picked) => (picked === ANOTHER ? another?.run() : onPick(picked))}
    />
  )
}
