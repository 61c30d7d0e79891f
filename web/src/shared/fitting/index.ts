export {
  useActions,
  useDesk,
  useDevices,
  useDifferences,
  useHeard,
  useHistory,
  useKinds,
  useLanes,
  usePreview,
  useWants,
  type Spot,
} from './queries'
export { useChange } from './useChange'
export { useNews } from './news'
export { SavingProvider, useSaving, type SaveState } from './saving'
