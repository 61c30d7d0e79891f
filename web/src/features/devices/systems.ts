import type { Host } from '../../shared/api'
import { say } from './sentences'

/** What a host can be. */
export const SYSTEMS: { value: Host['system']; label: string }[] = [
  { value: 'computer', label: say.computer },
  { value: 'tablet', label: say.tablet },
  { value: 'phone', label: say.phone },
  { value: 'television', label: say.television },
]
