import type { ProposalResult } from '../../shared/api'
import { say } from './sentences'

type Step = ProposalResult['steps'][number]

/** Of wrong presses and minutes, what nobody would notice is not told. */
const SEEN = 0.05

const signed = (
  value: number,
  fewer: (words: string) => string,
  more: (words: string) => string,
): string[] => (Math.abs(value) < SEEN ? [] : [(value > 0 ? fewer : more)(Math.abs(value).toFixed(1))])

/** How a day with some changes differs from the day as it is, in words. */
export function less(now: Step, then: Step): string {
  const done = now.missing.length - then.missing.length
  const told = [
    ...(done > 0 ? [say.lessDone(done)] : []),
    ...signed((now.seconds - then.seconds) / 60, say.lessSeconds, say.moreSeconds),
    ...signed(now.wrong - then.wrong, say.lessWrong, say.moreWrong),
  ]
  return told.length > 0 ? told.join(', ') : say.asNow
}
