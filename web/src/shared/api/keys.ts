import type { Change, TimingValues } from './types'

interface SpotKey {
  place: string
  mode: string
}

/** A question whose answer depends on the fitting: in another revision it is another question. */
const inRevision =
  <More extends readonly unknown[]>(name: string) =>
  (client: string, revision: number, ...more: More) =>
    [name, client, revision, ...more] as const

/** Under these names answers are kept, and asked for anew. What stands here once is asked in one way. */
export const keys = {
  // Of who is here, and of the service
  session: () => ['session'] as const,
  everyClient: () => ['clients', null] as const,
  clients: (search?: string) =>
    (search === undefined ? ['clients'] : ['clients', search]) as readonly string[],
  erasure: (client: string) => ['erasure', client] as const,
  accounts: () => ['accounts'] as const,
  audit: () => ['audit'] as const,
  toBeEmptied: () => ['to-be-emptied'] as const,
  reachFigures: () => ['reach-figures'] as const,
  wayIn: () => ['way-in'] as const,
  kinds: () => ['kinds'] as const,
  serviceKinds: (...of: string[]) => ['service-kinds', ...of] as const,

  // Of a client, whatever was saved
  paper: (client: string) => ['paper', client] as const,
  desk: (client: string) => ['desk', client] as const,
  joins: (client: string) => ['joins', client] as const,
  listener: (client: string) => ['listener', client] as const,
  leftOver: (client: string) => ['left-over', client] as const,
  offeredApps: (client: string) => ['offered-apps', client] as const,
  combination: (client: string, pressed: string[]) => ['combination', client, pressed] as const,
  handPicture: (client: string, hand: string | undefined, dials: object, seed: number) =>
    ['hand-picture', client, hand, dials, seed] as const,
  takeUp: (device: string) => ['service-kinds', 'to-take-up', device] as const,
  brought: (client: string) => ['brought', client] as const,
  carryFrom: (search: string) => ['carry-from', search] as const,
  fittingFile: (client: string) => ['fitting-file', client] as const,
  oldLanes: (client: string, spot: SpotKey, revision: number) =>
    ['old-lanes', client, spot, revision] as const,
  differences: (client: string, from: number | undefined, to: number | undefined) =>
    ['differences', client, from, to] as const,

  // Of a client in a revision
  lanes: inRevision<[SpotKey]>('lanes'),
  along: inRevision<[object | undefined]>('along'),
  actions: inRevision<[]>('actions'),
  foundActions: inRevision<[string]>('found-actions'),
  found: inRevision<[string]>('found'),
  free: inRevision<[object | undefined, SpotKey]>('free'),
  where: inRevision<[]>('where'),
  check: inRevision<[]>('check'),
  fixes: inRevision<[object]>('fixes'),
  handovers: inRevision<[]>('handovers'),
  followUp: inRevision<[number | undefined]>('follow-up'),
  byHand: inRevision<[string]>('by-hand'),
  answers: inRevision<[string | undefined, SpotKey]>('answers'),
  pointer: inRevision<[string, object]>('pointer'),
  arrangements: inRevision<[]>('arrangements'),
  settings: inRevision<[]>('settings'),
  preview: inRevision<[number, Change | undefined]>('preview'),
  devices: inRevision<[]>('devices'),
  wants: inRevision<[]>('wants'),
  heard: inRevision<[string]>('heard'),
  reach: inRevision<[string[], number | undefined]>('reach'),
  proposal: inRevision<[]>('proposal'),
  traces: inRevision<[]>('traces'),
  takenTrace: inRevision<[string]>('taken-trace'),
  wholeLook: inRevision<[string]>('whole-look'),
  history: inRevision<[]>('history'),
  matches: inRevision<[string, string | undefined, boolean]>('matches'),
  screens: inRevision<[]>('screens'),
  hands: inRevision<[]>('hands'),
  bench: inRevision<[]>('bench'),
  tuning: inRevision<[]>('tuning'),
  drift: inRevision<[string, string | undefined, string | undefined, string]>('drift'),
  /** A fit says what today’s timing comes to, and whether it is in force. */
  fit: inRevision<[string | undefined]>('fit'),

  // Of a fit or a sitting, which stay what they are
  sitting: (sitting: string | undefined) => ['sitting', sitting] as const,
  fitWanted: (client: string, wanted?: object) =>
    (wanted === undefined ? ['fit-wanted', client] : ['fit-wanted', client, wanted]) as readonly unknown[],
  fitAlong: (fit: string | undefined, setting: string | undefined, timing: TimingValues) =>
    ['fit-along', fit, setting, timing] as const,
  fitJudged: (fit: string | undefined, timing: TimingValues | undefined) =>
    ['fit-judged', fit, timing] as const,
  fitTrial: (fit: string, number: number | undefined) => ['fit-trial', fit, number] as const,
}

/** The names of questions that one client’s notices are about. */
export type Asked =
  | 'joins'
  | 'screens'
  | 'bench'
  | 'tuning'
  | 'fit'
  | 'devices'
  | 'heard'
  | 'wants'
  | 'check'
  | 'handovers'
  | 'reach'
  | 'proposal'
  | 'by-hand'

/** All that was asked under one name of one client, in whichever revision. */
export const allOf = (name: Asked, client: string) => [name, client] as const
