import type { components, operations } from './schema'

type Schemas = components['schemas']

export type Session = Schemas['Session']
export type Role = Schemas['Role']
export type Account = Schemas['Account']
export type AuditEntry = Schemas['AuditEntry']
export type Client = Schemas['Client']
export type Desk = Schemas['Desk']
export type Device = Desk['hosts'][number]['devices'][number]
export type Button = Schemas['Button']
export type Preview = Schemas['Preview']
export type Action = Schemas['Action']
export type Setting = Schemas['Setting']
export type Lane = Schemas['Lane']
export type Caution = Lane['cautions'][number]
export type Finding = Schemas['Finding']
export type Checked = Schemas['Checked']
export type Handovers = Schemas['Handovers']
export type HandListData = Schemas['HandList']
export type HandLine = HandListData['lines'][number]
export type PaperData = Schemas['Paper']
export type FollowUpData = Schemas['FollowUp']
export type ReachFigures = Schemas['ReachFigures']
export type ReachData = Schemas['Reach']
export type ProposalView = Schemas['ProposalView']
export type ProposalData = Schemas['Proposal']
export type ProposalResult = Schemas['ProposalResult']
export type TakenTrace = Schemas['TakenTrace']
export type DeviceHas = Schemas['DeviceHas']
export type Ask = Schemas['CatalogueAction']['asks'][number]
export type Region = Lane['regions'][number]
export type Chip = Lane['chips'][number]
export type Empty = Lane['empties'][number]
export type Boundary = Schemas['Boundary']
export interface LanesAnswer {
  lanes: Lane[]
  heads: { device: string; boundaries: Boundary[] }[]
}
export type Hands = operations['listHands']['responses'][200]['content']['application/json']
export type HandPicture = operations['pictureOfHand']['responses'][200]['content']['application/json']
export type MovedLane = Schemas['MovedLane']
/** Lanes for each value that one of their times can be set to. */
export type Along = operations['getLanesAlong']['responses'][200]['content']['application/json']
export type DurationSetting = operations['getLanesAlong']['parameters']['query']['setting']
export type Stretch = Schemas['Stretch']
export type Gesture = Schemas['Gesture']
export type LaneGesture = Schemas['LaneGesture']
export type Change = Schemas['Change']
/** Back, forward again, or to a revision. */
export interface HistoryStep {
  step: 'undo' | 'redo' | 'restore'
  /** Which one; where none is named, the last that this page knows of when it is sent. */
  revision?: number
}
export type ButtonChange = Schemas['ButtonChange']
export type CatalogueAction = Schemas['CatalogueAction']
export type Found = Schemas['Found']
export type Revision = Schemas['Revision']
export type Kind = Schemas['Kind']
/** A kind that somebody made for one client. */
export type OwnKind =
  operations['getDevices']['responses'][200]['content']['application/json']['kinds'][number]
/** The kinds that a service keeps, and what a new one begins with. */
export type ServiceKinds = operations['listServiceKinds']['responses'][200]['content']['application/json']
export type ServiceKind = ServiceKinds['kinds'][number]
/** What a service says of hosts, by their sort. */
export type ServiceHosts = operations['getServiceHosts']['responses'][200]['content']['application/json']
export type KindEdition = Schemas['KindEdition']
export type Drawing = Schemas['Drawing']
export type Shape = Schemas['Shape']
export type DeviceFacts = Schemas['DeviceFacts']
export type ButtonFacts = Schemas['ButtonFacts']
export type Step = Schemas['Step']
export type Want = Schemas['Want']
export type WantFacts = Schemas['WantFacts']
export type HeardSource = Schemas['Heard']
export type WayInState = Schemas['WayIn']
export type Join = Schemas['Join']
export type App = Desk['apps'][number]
export type Host = Desk['hosts'][number]
/** Where and when something else holds. */
export type Where = Schemas['Where']
export type Place = Where['places'][number]
export type Mode = Where['modes'][number]
export type ModeWay = Schemas['ModeWay']
export type Shortlist = Where['shortlists'][number]
export type CueEvent = Schemas['CueEvent']
export type CueWay = Schemas['CueWay']
export type Listener = Schemas['Listener']
export type Message = Schemas['Message']
export type BenchView = Schemas['BenchView'] & { revision: number }
/** What was heard came to this: with the cues that the client gets, and where they are now. */
export type HeardView = BenchView & {
  cues: Cue[]
  quiet: Where['cues']['quiet']
  places: Record<string, WhereNow>
}
export type Cue = Schemas['Cue']
export type WhereNow = Schemas['WhereNow']
/** Prompts to a client, one at a time, and what came of them. */
export type Tuning = operations['getTuning']['responses'][200]['content']['application/json']
export type Sitting = Schemas['Sitting']
export type SittingSummary = Schemas['SittingSummary']
export type Offered = Schemas['Offered']
export type Intended = Schemas['Intended']
export type SettingName = Schemas['SettingName']
export type TimingValues = Schemas['TimingValues']
export type Fit = Schemas['Fit']
export type FitResult = Schemas['FitResult']
export type FitSetting = Schemas['FitSetting']
export type Compared = Schemas['Compared']
export type FitAlong = operations['getFitAlong']['responses'][200]['content']['application/json']
export type JoinedPrompt = NonNullable<Schemas['JoinedPrompt']['prompt']>
export type Screen = Schemas['Screen']
export type Tile = Schemas['Tile']
export type Problem = Schemas['Problem'] & { newest?: Revision; mine?: string[]; theirs?: string[] }
