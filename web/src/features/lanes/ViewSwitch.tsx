import { Radio } from 'antd'
import type { View } from '../../shared/desk'
import { isWhere } from '../where'
import { say } from './sentences'

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
