import { Button, Radio } from 'antd'
import type { Place, Where } from '../../shared/api'
import type { SheetAddress } from '../../shared/desk'
import { useChange, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Nothing } from '../../shared/ui'
import { Assigned } from './Assigned'
import { PlacesDrawn } from './PlacesDrawn'
import { say } from './sentences'
import styles from './where.module.css'

interface Props {
  where: Where
  onSheet: (sheet: SheetAddress) => void
  onSpot: (spot: Spot) => void
}

const FOLLOW = [
  { value: 'pointer', label: say.whatPointerOver },
  { value: 'focus', label: say.whatHasFocus },
]

/** The places of a client, what counts as being there, and what of it can never come about. */
export function PlacesView({ where, onSheet, onSpot }: Props) {
  const mayChange = useMayChange()
  const { change } = useChange()
  const follow = (to: Where['follow']) => {
    const words = FOLLOW.find((one) => one.value === to)?.label ?? to
    void change({ kind: 'follow', follow: to }, say.followed(words))
  }
  return (
    <>
      <div className={styles.bar}>
        <p>{say.placesAbout}</p>
        {mayChange && <Button onClick={() => onSheet({ of: 'new-place' })}>{say.addPlace}</Button>}
      </div>
      {where.places.length === 0 && <Nothing>{say.noPlaceYet}</Nothing>}
      <PlacesDrawn hosts={where.hosts} places={where.places} />
      <ul className={styles.list}>
        {where.places.map((place) => (
          <li key={place.id} className={styles.row} data-off={place.off}>
            <p>
              <strong>{place.name}</strong>
              <small>{about(place)}</small>
              <small>{place.known.map((words) => say.asSentence(words)).join(' ')}</small>
            </p>
            <div className={styles.there}>
              <Assigned list={place.assigned} besides="mode" />
            </div>
            <Button
              aria-label={say.showLanesOf(place.name)}
              onClick={() => onSpot({ place: place.id, mode: 'base' })}
            >
              {say.showLanes}
            </Button>
            {mayChange && (
              <Button
                aria-label={say.changeOf(place.name)}
                onClick={() => onSheet({ of: 'place', id: place.id })}
              >
                {say.change}
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className={styles.bar}>
        <p id="follow">{say.counts}</p>
        <Radio.Group
          aria-labelledby="follow"
          disabled={!mayChange}
          value={where.follow}
          options={FOLLOW}
          onChange={(event) => follow(event.target.value as Where['follow'])}
        />
      </div>
      {where.never.length > 0 && (
        <section aria-labelledby="never">
          <h3 id="never">{say.never}</h3>
          <ul className={styles.list}>
            {where.never.map((one) => (
              <li key={one.what} className={styles.row}>
                <p>{one.what}</p>
                <Button
                  aria-label={say.showItOf(one.what)}
                  onClick={() => onSpot({ place: one.where.place ?? '', mode: one.where.mode ?? '' })}
                >
                  {say.showIt}
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}

const about = ({ off, off_from_afar: afar }: Place): string =>
  [off && say.switchedOff, afar && say.offFromAfar].filter(Boolean).join(' · ')
