import { Radio } from 'antd'
import type { View } from '../../shared/desk'
import { WHERE_VIEWS, type WhereOf } from '../where'
import { say } from './sentences'

export const isWhere = (view: View): view is WhereOf => (WHERE_VIEWS as readonly string[]).includes(view)

/** How the assignments are shown, or where and when they hold. */
export function ViewSwitch({ view, onView }: { view: View; onView: (view: View) => void }) {
  return (
    <Radio.Group
      aria-label={say.showAs}
      optionType="button"
      buttonStyle="solid"
      value={isWhere(view) ? 'places' : view}
      onChange={(event) => onView(event.target.value as View)}
      options={[
        { value: 'lanes', label: say.lanes },
        { value: 'table', label: say.table },
        { value: 'places', label: say.where },
      ]}
    />
  )
}
