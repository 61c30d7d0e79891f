import type { ReactNode } from 'react'
import { later } from '../../shared/ui'

/** The page of a service’s kinds; waiting – what stands there until it is. */
export const kindsPage = (waiting: ReactNode) =>
  later(async () => (await import('./KindsPage')).KindsPage, waiting)
