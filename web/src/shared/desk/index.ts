export { alongTo, sameSheet, type DeskAddress, type Move, type SheetAddress } from './address'
export { commandOf, keysOf, useCommands, type CommandId } from './commands'
export { useDeskAddress } from './useDeskAddress'
