import type { Host } from '../../shared/api'
import { say } from './sentences'

export const SYSTEMS: { value: Host['system']; label: string }[] = (
  ['computer', 'tablet', 'phone', 'television'] as const
).map((value) => ({ value, label: say.systems[value] }))
