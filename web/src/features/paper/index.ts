export { PaperPage } from './PaperPage'
