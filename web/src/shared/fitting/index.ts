export {
  useActions,
  useArrangements,
  useCombination,
  useDesk,
  useDevices,
  useDifferences,
  useHeard,
  useHistory,
  useKeys,
  useKinds,
  useLanes,
  usePreview,
  useSettings,
  useWants,
  useWholeActions,
  type Spot,
} from './queries'
export { type SaveOptions } from './saving'
export { useChange } from './useChange'
export { ofTheFitting, useNews } from './news'
export { SavingProvider, useSaving, type SaveState } from './saving'
