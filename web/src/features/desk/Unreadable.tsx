import type { Desk } from '../../shared/api'
import { Notice } from '../../shared/ui'
import { say } from './sentences'

/** What was saved later and can’t be opened: what is shown instead, and that nothing of it is lost. */
export function Unreadable({ desk }: { desk: Desk }) {
  if (desk.unreadable.length === 0) return null
  const numbers = [...desk.unreadable].sort((one, other) => one - other).join(', ')
  return (
    <Notice
      type="warning"
      role="status"
      title={say.unreadable(numbers, desk.unreadable.length)}
      description={say.shownInstead(desk.revision.number)}
    />
  )
}
