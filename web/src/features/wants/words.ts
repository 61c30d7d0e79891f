import type { WantFacts } from '../../shared/api'
import { say } from './sentences'

export const WRONG: { value: WantFacts['wrong']; label: string }[] = [
  { value: 'nothing', label: say.costsNothing },
  { value: 'nuisance', label: say.nuisance },
  { value: 'serious', label: say.serious },
  { value: 'dangerous', label: say.dangerous },
]

export const IMPORTANCE: { value: WantFacts['importance']; label: string }[] = [
  { value: 'must', label: say.mustHave },
  { value: 'should', label: say.wanted },
  { value: 'could', label: say.niceHave },
]

const STATES: Record<WantFacts['state'], string> = {
  done: say.buttonDoes,
  open: say.noButtonDoesYet,
  no_action: say.noActionChosenYet,
}

export const stateWords = (want: WantFacts) => STATES[want.state]

export const wrongWords = (want: WantFacts) =>
  say.wrongPressWithWrong(WRONG.find((one) => one.value === want.wrong)?.label ?? want.wrong)

export const timesWords = (want: WantFacts) =>
  want.times_a_day === null ? say.howOftenNotKnown : say.day(String(want.times_a_day))
