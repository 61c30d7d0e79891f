export { CodeShown } from './CodeShown'
export { joiningSheets } from './sheets'
export { useJoins } from './useJoins'
