export { PromptPane } from './PromptPane'
export { TuneStep } from './TuneStep'
export { useTuning } from './queries'
