import type { Sheets, SheetAddress, StepDefinition } from '../../shared/desk'
import type { NoticesOf } from '../../shared/fitting'
import { benchSheets } from '../bench'
import { check } from '../check'
import { devices } from '../devices'
import { followup } from '../followup'
import { filesSheets } from '../files'
import { handover } from '../handover'
import { historySheets } from '../history'
import { joiningSheets } from '../joining'
import { assign } from '../lanes'
import { reach } from '../reach'
import { tune } from '../tune'
import { wants } from '../wants'
import { answersSheets } from '../where'
import { helpSheets } from './helpSheets'

/** The steps in the order of the work; those that are built. A new one is its folder and its name here. */
const ALL = [wants, devices, assign, tune, check, reach, handover, followup] as const
export const STEPS: readonly StepDefinition[] = ALL
export type Step = (typeof ALL)[number]['id']

/** What can be opened at every step, and stays open on the way to another. */
const OF_NO_STEP = {
  ...joiningSheets,
  ...benchSheets,
  ...historySheets,
  ...filesSheets,
  ...answersSheets,
  ...helpSheets,
}

/** What is drawn of each sheet that an address can name. */
export const SHEETS = {
  ...wants.sheets,
  ...devices.sheets,
  ...assign.sheets,
  ...tune.sheets,
  ...check.sheets,
  ...reach.sheets,
  ...handover.sheets,
  ...followup.sheets,
  ...OF_NO_STEP,
} satisfies Sheets

export const isOfNoStep = ({ of }: SheetAddress): boolean => of in OF_NO_STEP

/** What is asked anew by which notice, of every step and of none. */
export const NOTICES: NoticesOf = together([
  { joins: ['joins'], screen: ['screens'] },
  ...STEPS.map(({ notices }) => notices),
])

/** Several steps may go by one notice: each asks for its own. */
export function together(all: readonly NoticesOf[]): NoticesOf {
  const names = [...new Set(all.flatMap((notices) => Object.keys(notices)))]
  return Object.fromEntries(names.map((name) => [name, [...new Set(all.flatMap((one) => one[name] ?? []))]]))
}

/** The step of an address; the middle of the work where it names none. */
export function stepOf(name: string | undefined): StepDefinition {
  return STEPS.find(({ id }) => id === name) ?? assign
}
