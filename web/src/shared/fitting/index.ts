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
  heardOf,
  useHeard,
  useHistory,
  useKeys,
  useKinds,
  useLanes,
  useLanesAlong,
  useOldLanes,
  usePreview,
  useSettings,
  useWants,
  useWhere,
  useAnswers,
  usePointer,
  type Along,
  type PointerSettings,
  type Spot,
} from './queries'
export { type QueueState, type Refusal, type SaveOptions } from './queue'
export { useChange, useFormChange } from './useChange'
export { askedAnew } from './askedAnew'
export { useNews, type NoticesOf } from './news'
export { SavingProvider, useRevision, useSaving, useSavingState } from './saving'
