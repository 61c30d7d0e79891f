export { alongTo, sameSheet, type DeskAddress, type Move, type SheetAddress, type View } from './address'
export { COMMANDS, commandOf, commandsOf, keysOf, useCommands, type CommandId } from './commands'
export { useSingleKeys } from './singleKeys'
export { useDeskAddress } from './useDeskAddress'
