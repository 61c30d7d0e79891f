import type { Host } from '../../shared/api'

/** What a host can be. */
export const SYSTEMS: { value: Host['system']; label: string }[] = [
  { value: 'computer', label: 'Computer' },
  { value: 'tablet', label: 'Tablet' },
  { value: 'phone', label: 'Phone' },
  { value: 'television', label: 'Television' },
]
