import { OF_PEOPLE } from '../../shared/text'
import type { Client } from '../../shared/api'
import { say } from './sentences'

/** What is open with a client, in a few words. */
export function openWords(open: Client['open']): string {
  const words = [
    open.wants ? say.wantsOpen(open.wants) : undefined,
    open.devices ? say.devicesNotReady(open.devices) : undefined,
  ].filter((part) => part !== undefined)
  return words.length > 0 ? words.join(' · ') : say.nothingOpen
}

const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })
const DAY = new Intl.DateTimeFormat(OF_PEOPLE, { day: 'numeric', month: 'short', year: 'numeric' })

/** When a client was last worked with. */
export function seenWords(at: string, now: Date): string {
  const seen = new Date(at)
  const today = seen.toDateString() === now.toDateString()
  return today ? say.seenToday(TIME.format(seen)) : say.lastSeen(DAY.format(seen))
}
