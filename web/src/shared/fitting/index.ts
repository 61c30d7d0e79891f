export { useActions, useDesk, useLanes, usePreview, type Spot } from './queries'
export { SavingProvider, useSaving, type SaveState } from './saving'
