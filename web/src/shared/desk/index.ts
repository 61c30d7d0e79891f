export {
  addressNow,
  alongTo,
  sameSheet,
  wordsOf,
  type DeskAddress,
  type InHand,
  type Move,
  type SheetAddress,
  type View,
} from './address'
export {
  COMMANDS,
  commandOf,
  keysOf,
  useCommands,
  type Command,
  type CommandId,
  type Commands,
} from './commands'
export { aSheet } from './aSheet'
export { useSingleKeys } from './singleKeys'
export { NOTHING_TUNED, type Tuned } from './tuned'
export { useDeskAddress } from './useDeskAddress'
export type {
  DeskNow,
  Lazy,
  Lead,
  Notices,
  SheetDefinition,
  SheetKind,
  SheetProps,
  Sheets,
  StepDefinition,
} from './step'
