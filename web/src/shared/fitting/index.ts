export {
  useActions,
  useFoundActions,
  useFreePlaces,
  useLikeliest,
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
  useLanesAlong,
  usePreview,
  useSettings,
  useWants,
  useWhere,
  useAnswers,
  usePointer,
  type PointerSettings,
  type Spot,
} from './queries'
export { type QueueState, type Refusal, type SaveOptions } from './queue'
export { useChange, useFormChange } from './useChange'
export { ofTheFitting, useNews } from './news'
export { SavingProvider, useSaving, useSavingState } from './saving'
