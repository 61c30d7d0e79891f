import { say } from './sentences'

/** The steps in the order of the work; those that are built. */
export const STEPS = [
  { step: 'wants', name: say.wants },
  { step: 'devices', name: say.devicesAlone },
  { step: 'assign', name: say.assign },
  { step: 'tune', name: say.tune },
] as const

export type Step = (typeof STEPS)[number]['step']

export function stepOf(name: string | undefined): Step {
  return STEPS.find(({ step }) => step === name)?.step ?? 'assign'
}
