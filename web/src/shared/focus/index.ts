export { owner } from './owner'
export { useFocusOwner } from './useFocusOwner'
export { useTakesFocus } from './useTakesFocus'
