export { CaseloadPage } from './CaseloadPage'
