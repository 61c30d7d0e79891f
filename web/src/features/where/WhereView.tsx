import { Radio } from 'antd'
import type { ReactNode } from 'react'
import { Waiting } from '../../shared/plain'
import type { Desk } from '../../shared/api'
import type { SheetAddress, View } from '../../shared/desk'
import { useWhere, type Spot } from '../../shared/fitting'
import { CuesView } from './CuesView'
import { ModesView } from './ModesView'
import { PlacesView } from './PlacesView'
import { say } from './sentences'
import { ShortlistsView } from './ShortlistsView'
import { WHERE_VIEWS, type WhereOf } from './views'
import styles from './where.module.css'

interface Props {
  desk: Desk
  view: WhereOf
  onView: (view: View) => void
  onSheet: (sheet: SheetAddress) => void
  /** Shows the lanes of a place and mode. */
  onSpot: (spot: Spot) => void
  /** The switch between the lanes, the table and this. */
  views: ReactNode
}

/** Where and when a button does something else: places, modes, shortlists, and the cues that tell it. */
export function WhereView({ desk, view, onView, onSheet, onSpot, views }: Props) {
  const { data: where, error } = useWhere(desk.id)
  return (
    <section aria-labelledby="where-title" className={styles.where}>
      <div className={styles.head}>
        <h2 id="where-title">{say.whereAndWhen}</h2>
        <Radio.Group
          aria-label={say.whereAndWhen}
          optionType="button"
          value={view}
          onChange={(event) => onView(event.target.value as WhereOf)}
          options={WHERE_VIEWS.map((one) => ({ value: one, label: say.views[one] }))}
        />
        {views}
      </div>
      {error && <p role="alert">{error.message}</p>}
      {!where && !error && <Waiting />}
      {where?.left_out.map((words) => (
        <p key={words} role="alert">
          {words}
        </p>
      ))}
      {where && view === 'places' && <PlacesView where={where} onSheet={onSheet} onSpot={onSpot} />}
      {where && view === 'modes' && <ModesView where={where} onSheet={onSheet} onSpot={onSpot} />}
      {where && view === 'shortlists' && <ShortlistsView where={where} onSheet={onSheet} />}
      {where && view === 'cues' && <CuesView where={where} />}
    </section>
  )
}
