import type { Client } from '../../shared/api'
import { say } from './sentences'

const count = (number: number | undefined, one: string, many: string) =>
  number ? `${String(number)} ${number === 1 ? one : many}` : undefined

/** What is open with a client, in a few words. */
export function openWords(open: Client['open']): string {
  const words = [
    count(open.wants, say.wantOpen, say.wantsOpen),
    count(open.devices, say.deviceNotReady, say.devicesNotReady),
  ].filter((part) => part !== undefined)
  return words.length > 0 ? words.join(' · ') : say.nothingOpen
}

const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })
const DAY = new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' })

/** When a client was last worked with. */
export function seenWords(at: string, now: Date): string {
  const seen = new Date(at)
  const today = seen.toDateString() === now.toDateString()
  return today ? say.seenToday(TIME.format(seen)) : say.lastSeen(DAY.format(seen))
}
