import { later } from '../../shared/ui'

/** What stands below what is decided on, and what is opened. */
export const FitBelow = later(async () => (await import('./FitBelow')).FitBelow, null)
export const TrialStory = later(async () => (await import('./TrialStory')).TrialStory, null)
export const FollowUp = later(async () => (await import('./FollowUp')).FollowUp, null)
export const HandWay = later(async () => (await import('./HandWay')).HandWay, null)
export const SoFar = later(async () => (await import('./SoFar')).SoFar, null)
