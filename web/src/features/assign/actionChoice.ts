import type { Action, Ask, CatalogueAction } from '../../shared/api'

/** An action being chosen: an entry with what was said to what it asks, or one that is in no list and stays as it is. */
export interface ActionChoice {
  picked: CatalogueAction | undefined
  answers: Record<string, unknown>
  asItIs: Action | undefined
}

/** One of several steps being chosen, with the pause before it. */
export interface StepChoice {
  choice: ActionChoice
  pauseMs: number
}

export const choose = (picked: CatalogueAction | undefined): ActionChoice => ({
  picked,
  answers: picked ? usual(picked.asks) : {},
  asItIs: undefined,
})

/** What was chosen before: the entry that says most of it. */
export function choiceOf(action: Action | null, actions: CatalogueAction[]): ActionChoice {
  if (!action) return choose(undefined)
  const given: Record<string, unknown> = { ...action }
  const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)
  const fits = (entry: CatalogueAction) => {
    const members: Record<string, unknown> = { ...entry.action }
    const asked = entry.asks.map((ask) => ask.member)
    return (
      Object.keys(members).every((member) => same(members[member], given[member])) &&
      Object.keys(given).every((member) => member in members || asked.includes(member))
    )
  }
  const [picked] = actions
    .filter(fits)
    .sort((one, other) => Object.keys(other.action).length - Object.keys(one.action).length)
  if (!picked) return { picked: undefined, answers: {}, asItIs: action }
  const answers = Object.fromEntries(
    picked.asks
      .map(
        ({ member, type }) =>
          [member, type === 'steps' ? stepsOf(given[member], actions) : given[member]] as const,
      )
      .filter(([, value]) => value !== undefined),
  )
  return { picked, answers: { ...usual(picked.asks), ...answers }, asItIs: undefined }
}

/** What can't be made out of a file is said anew. */
const stepsOf = (given: unknown, actions: CatalogueAction[]): StepChoice[] | undefined => {
  if (!Array.isArray(given) || !given.every(isStep)) return undefined
  return given.map(({ action, pause_ms }) => ({
    choice: choiceOf(action, actions),
    pauseMs: pause_ms ?? 0,
  }))
}

interface Step {
  action: Action
  pause_ms?: number
}

const isStep = (one: unknown): one is Step =>
  typeof one === 'object' && one !== null && typeof (one as Partial<Step>).action === 'object'

/** What holds where nothing is said. */
export function usual(asks: Ask[]): Record<string, unknown> {
  return Object.fromEntries(
    asks.flatMap(({ member, usual }) => (usual === undefined || usual === null ? [] : [[member, usual]])),
  )
}

/** The action; null where none is known, undefined while something it needs is missing. */
export function meant(choice: ActionChoice): Action | null | undefined {
  return choice.picked ? actionOf(choice) : (choice.asItIs ?? null)
}

/** The action with all that was said; undefined while something it needs is missing. */
export function actionOf({ picked, answers }: Pick<ActionChoice, 'picked' | 'answers'>): Action | undefined {
  if (!picked) return undefined
  const said = picked.asks.map((ask) => [ask.member, answerOf(ask, answers[ask.member])] as const)
  if (said.some(([, value]) => value === undefined)) return undefined
  return { ...picked.action, ...answers, ...Object.fromEntries(said) }
}

/** What was said to one ask, as the action has it; undefined where it is missing. */
function answerOf(ask: Ask, value: unknown): unknown {
  if (value === undefined || value === null || String(value) === '') return undefined
  return ask.type === 'steps' ? allOf(value as StepChoice[]) : value
}

/** The steps, each of them whole; the first is done at once. */
function allOf(steps: StepChoice[]) {
  const made = steps.map(({ choice, pauseMs }, index) => ({
    action: meant(choice),
    ...(index > 0 && pauseMs > 0 ? { pause_ms: pauseMs } : {}),
  }))
  return made.length > 1 && made.every(({ action }) => action) ? made : undefined
}
