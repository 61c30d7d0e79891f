export { PasswordInput, PlainInput } from './PlainInput'
export { PlainButton } from './PlainButton'
export { Waiting } from './Waiting'
