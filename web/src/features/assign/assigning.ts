import type { ButtonChange, CatalogueAction, Change, Gesture } from '../../shared/api'
import type { Spot } from '../../shared/fitting'
import { actionOf, usual } from './actionChoice'

/** What has been chosen and said so far for one gesture. */
export interface Assigning {
  gesture: Gesture
  picked: CatalogueAction | undefined
  answers: Record<string, unknown>
  /** Whether the tap acts at once; undefined: as it is. */
  atOnce: boolean | undefined
  repeat: { after_ms: number; every_ms: number } | undefined
  /** Whether an untouched button keeps what it does by itself as its tap. */
  keep: boolean
}

export type Step =
  | { do: 'gesture'; gesture: Gesture }
  | { do: 'pick'; action: CatalogueAction; answers?: Record<string, unknown> }
  | { do: 'answer'; member: string; value: unknown }
  | { do: 'at-once'; atOnce: boolean }
  | { do: 'repeat'; repeat: Assigning['repeat'] }
  | { do: 'keep'; keep: boolean }

export const nothingYet = (gesture: Gesture): Assigning => ({
  gesture,
  picked: undefined,
  answers: {},
  atOnce: undefined,
  repeat: undefined,
  keep: true,
})

export function assigning(now: Assigning, step: Step): Assigning {
  switch (step.do) {
    case 'gesture':
      return { ...now, gesture: step.gesture, atOnce: undefined, repeat: undefined }
    case 'pick':
      return {
        ...now,
        picked: step.action,
        answers: { ...usual(step.action.asks), ...step.answers },
        repeat: undefined,
      }
    case 'answer':
      return { ...now, answers: { ...now.answers, [step.member]: step.value } }
    case 'at-once':
      return { ...now, atOnce: step.atOnce }
    case 'keep':
      return { ...now, keep: step.keep }
    case 'repeat':
      return { ...now, repeat: step.repeat }
  }
}

/** The change that is ready to be made on some buttons, if any. */
export function changeOf(now: Assigning, buttons: string[], spot: Spot): Change | undefined {
  const { gesture, atOnce, repeat, keep } = now
  const action = actionOf(now)
  const at = { place: spot.place, mode: spot.mode }
  const soon = atOnce === undefined ? {} : { at_once: atOnce }
  const one = (button: string): ButtonChange | undefined => {
    if (action) {
      return {
        kind: 'assign',
        button,
        gesture,
        ...at,
        action,
        ...soon,
        ...(repeat ? { repeat } : {}),
        ...(keep ? {} : { keep }),
      }
    }
    return atOnce === undefined || now.picked
      ? undefined
      : { kind: 'tap_at_once', button, ...at, at_once: atOnce }
  }
  const changes = buttons.map(one).filter((change) => change !== undefined)
  if (changes.length === 0) return undefined
  return changes.length === 1 ? changes[0] : { kind: 'several', changes }
}
