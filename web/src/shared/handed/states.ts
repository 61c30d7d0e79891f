import type { DeviceHas } from '../api'
import { OF_PEOPLE } from '../text'
import { say } from './sentences'

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })

export const when = (at: string): string => TIME.format(new Date(at))

/** How a device stands, in a sentence. */
export function stands({ state, seen, brought, done, of, part, by_hand: byHand }: DeviceHas): string {
  switch (state) {
    case 'waiting':
      return say.waiting
    case 'writing':
      return done < of ? say.writing(String(done), String(of), part ?? '') : say.switching
    case 'broken_off':
      return say.brokenOff(String(done), String(of))
    case 'away':
      return say.away
    case 'nothing':
      return say.nothing
    case 'on_it':
      return brought?.revision ? say.onIt(String(brought.revision)) : say.nothing
    case 'differs':
      return seen === null || !brought?.revision ? say.nothingYet : say.differs(String(brought.revision))
    case 'by_hand':
      return say.byHand(String(byHand?.set ?? 0), String(byHand?.of ?? 0))
    case 'anothers':
      return say.anothers
    case 'unknown':
      return say.unknown
  }
}

export const isUnderWay = ({ state }: DeviceHas): boolean => state === 'waiting' || state === 'writing'

/** Has it not got yet what it would have? */
export const isMissing = ({ state }: DeviceHas): boolean => state !== 'on_it' && state !== 'nothing'

/** Is there something else on it than would be put there? What waits for it is on its way already. */
export const canBePut = ({ state }: DeviceHas): boolean => state === 'differs' || state === 'anothers'
