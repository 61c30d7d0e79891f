/** The steps in the order of the work; those that are built. */
export const STEPS = [
  { step: 'wants', name: 'Wants' },
  { step: 'devices', name: 'Devices' },
  { step: 'assign', name: 'Assign' },
] as const

export type Step = (typeof STEPS)[number]['step']

export function stepOf(name: string | undefined): Step {
  return STEPS.find(({ step }) => step === name)?.step ?? 'assign'
}
