import type { Desk } from '../../shared/api'
import { NoWayBackFound } from './lazy'

/** Modes that can’t be left again, told for as long as there are any; nothing is asked where there is no mode. */
export function NoWayBack({ desk }: { desk: Desk }) {
  return desk.modes.length > 1 ? <NoWayBackFound client={desk.id} /> : null
}
