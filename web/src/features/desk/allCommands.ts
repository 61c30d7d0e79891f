import { COMMANDS, type Commands } from '../../shared/desk'
import { STEPS } from './steps'

/** What leads to each step, as a command. */
const TO_STEPS: Commands = Object.fromEntries(
  STEPS.map(({ id, command, single }) => [id, { name: command, keys: [], where: 'desk', single }]),
)

/** All that a desk can be asked to do, by name and keys. */
export const ALL_COMMANDS: Commands = { ...TO_STEPS, ...COMMANDS }
