import type { WantFacts } from '../../shared/api'

export const WRONG: { value: WantFacts['wrong']; label: string }[] = [
  { value: 'nothing', label: 'costs nothing' },
  { value: 'nuisance', label: 'is a nuisance' },
  { value: 'serious', label: 'is serious' },
  { value: 'dangerous', label: 'is dangerous' },
]

export const IMPORTANCE: { value: WantFacts['importance']; label: string }[] = [
  { value: 'must', label: 'must have' },
  { value: 'should', label: 'wanted' },
  { value: 'could', label: 'nice to have' },
]

const STATES: Record<WantFacts['state'], string> = {
  done: 'a button does it',
  open: 'no button does it yet',
  no_action: 'no action chosen yet',
}

export const stateWords = (want: WantFacts) => STATES[want.state]

export const wrongWords = (want: WantFacts) =>
  `a wrong press ${WRONG.find((one) => one.value === want.wrong)?.label ?? want.wrong}`

export const timesWords = (want: WantFacts) =>
  want.times_a_day === null ? 'how often not known' : `${String(want.times_a_day)} a day`
