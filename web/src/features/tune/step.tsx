import type { ReactNode } from 'react'
import type { DeskNow, StepDefinition } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { later } from '../../shared/ui'
import { useTuning } from './queries'
import { say } from './step.sentences'

const PromptPane = later(async () => (await import('./PromptPane')).PromptPane, null)

/** While somebody is asked for presses, that is what stands below. */
function Prompts({ now: { desk, buttons, go }, children }: { now: DeskNow; children: ReactNode }) {
  const mayChange = useMayChange()
  const open = useTuning(desk.id).data?.open
  if (!open || !mayChange) return children
  const button = buttons.find((one) => one.ref === open.button)
  return (
    <PromptPane
      key={open.id}
      desk={desk}
      sitting={open}
      button={button}
      onJoin={() => go({ do: 'open', sheet: { of: 'join' } })}
    />
  )
}

/** The timing that fits a person, from a few presses. */
export const tune = {
  id: 'tune',
  name: say.stepName,
  command: say.toStep,
  single: 'T',
  open: () => 0,
  next: () => undefined,
  View: later(async () => {
    const { TuneStep } = await import('./TuneStep')
    return ({ now: { desk, buttons, address, go } }) => (
      <TuneStep
        desk={desk}
        buttons={buttons}
        tuned={address.tuned}
        onTune={(button) => go({ do: 'tune', button })}
        onTuned={(tuned) => go({ do: 'tuned', tuned })}
      />
    )
  }, null),
  Below: Prompts,
  sheets: {},
  notices: { sitting: ['tuning'], fit: ['fit', 'tuning'] },
} as const satisfies StepDefinition
