import type { Gesture } from '../api'
import { NOTHING_TUNED, readTuned, tunedBy, tunedWords, type Tuned } from './tuned'

const ALONE = [
  'arrange',
  'join',
  'hand',
  'history',
  'files',
  'carry-over',
  'proposal',
  'help',
  'new-device',
  'new-host',
  'new-app',
  'new-place',
  'new-mode',
  'new-shortlist',
  'count',
  'answers',
  'pointer',
] as const
const WITH_ID = [
  'device',
  'copy',
  'reset',
  'correct',
  'take-up',
  'correct-device',
  'host',
  'app',
  'want',
  'place',
  'mode',
  'shortlist',
  'open-shortlist',
  'take-mode',
  'finding',
  'by-hand',
] as const

/** What the side sheet is about. */
export type SheetAddress =
  | { of: 'gesture'; button: string; gesture: Gesture; also: string[] }
  | { of: 'rename'; button: string }
  | { [Of in (typeof ALONE)[number]]: { of: Of } }[(typeof ALONE)[number]]
  | { [Of in (typeof WITH_ID)[number]]: { of: Of; id: string } }[(typeof WITH_ID)[number]]
  | { of: 'settings'; about: 'host' | 'device'; id: string }

/** How the assignments are shown, and what is shown of where and when they hold. */
export const VIEWS = ['lanes', 'table', 'places', 'modes', 'shortlists', 'cues'] as const
export type View = (typeof VIEWS)[number]

/** What is in hand, to be put somewhere: what is wanted, an action, or what stands on a gesture already. */
export type InHand =
  { of: 'want' | 'action'; id: string } | { of: 'chip'; button: string; gesture: Gesture; copy: boolean }

/** Where one is at a desk, as far as it can be told to somebody else; the step stands in the path. */
export interface DeskAddress {
  place: string
  mode: string
  /** The devices that are shown; none: all. */
  only: string[]
  /** Devices that are taken for switched off, to see what is left. */
  without: string[]
  view: View
  devices: 'together' | 'find'
  compared: { from: number; to: number } | undefined
  hand: InHand | undefined
  sheet: SheetAddress | undefined
  tuned: Tuned
}

export const HERE: DeskAddress = {
  place: 'everywhere',
  mode: 'base',
  only: [],
  without: [],
  view: 'lanes',
  devices: 'together',
  compared: undefined,
  hand: undefined,
  sheet: undefined,
  tuned: NOTHING_TUNED,
}

export type Move =
  | { do: 'spot'; place: string; mode: string }
  | { do: 'view'; view: DeskAddress['view'] }
  | { do: 'devices'; devices: DeskAddress['devices'] }
  | { do: 'only'; only: string[] }
  | { do: 'without'; without: string[] }
  /** place – where it is wanted */
  | { do: 'hand'; hand: InHand; place?: string }
  /** Only that one: by the time it was put on, another may be in hand, or a sheet open. */
  | { do: 'drop'; hand: DeskAddress['hand'] }
  | { do: 'tune'; button: string }
  | { do: 'tuned'; tuned: Partial<Tuned> }
  | { do: 'compare'; compared: DeskAddress['compared'] }
  | { do: 'open'; sheet: SheetAddress }
  /** Only that sheet: by the time it has saved, another may be open. */
  | { do: 'close'; sheet?: SheetAddress | undefined }

/** Where a move leads. */
export function moved(from: DeskAddress, move: Move): DeskAddress {
  switch (move.do) {
    case 'spot':
      return { ...from, place: move.place, mode: move.mode }
    case 'view':
      return { ...from, view: move.view }
    case 'devices':
      return { ...from, devices: move.devices }
    case 'only':
      return { ...from, only: move.only }
    case 'without':
      return { ...from, without: move.without }
    case 'hand':
      return {
        ...from,
        place: move.place ?? from.place,
        hand: move.hand,
        sheet: undefined,
        compared: undefined,
      }
    case 'drop':
      return move.hand && from.hand && handWords(move.hand) === handWords(from.hand)
        ? { ...from, hand: undefined }
        : from
    case 'tune':
      return { ...from, sheet: undefined, tuned: { ...NOTHING_TUNED, button: move.button } }
    case 'tuned':
      return { ...from, tuned: tunedBy(from.tuned, move.tuned) }
    case 'compare':
      return { ...from, compared: move.compared, sheet: undefined }
    case 'open':
      return { ...from, sheet: move.sheet }
    case 'close':
      return move.sheet && !sameSheet(move.sheet, from.sheet) ? from : { ...from, sheet: undefined }
  }
}

export const sameSheet = (one: SheetAddress | undefined, other: SheetAddress | undefined): boolean =>
  one === other || (one !== undefined && other !== undefined && wordsOf(one) === wordsOf(other))

const GESTURES: readonly string[] = ['tap', 'double_tap', 'triple_tap', 'long_press', 'hold']

/** A sheet as it stands in the address: “gesture:mouse/left:tap”. */
export function wordsOf(sheet: SheetAddress): string {
  switch (sheet.of) {
    case 'gesture':
      return ['gesture', sheet.button, sheet.gesture, ...sheet.also].join(':')
    case 'rename':
      return `rename:${sheet.button}`
    case 'settings':
      return `settings:${sheet.about}:${sheet.id}`
    default:
      return 'id' in sheet ? `${sheet.of}:${sheet.id}` : sheet.of
  }
}

const isOf = <One extends string>(list: readonly One[], word: string): word is One =>
  (list as readonly string[]).includes(word)

/** What can’t be read is no sheet. */
function sheetOf(words: string | null): SheetAddress | undefined {
  const [of = '', first = '', second = '', ...rest] = (words ?? '').split(':')
  if (of === 'gesture' && first && GESTURES.includes(second))
    return { of, button: first, gesture: second as Gesture, also: rest }
  if (of === 'rename' && first) return { of, button: first }
  if (of === 'settings' && (first === 'host' || first === 'device') && second)
    return { of, about: first, id: second }
  if (isOf(WITH_ID, of) && first) return { of, id: first }
  return isOf(ALONE, of) && !first ? { of } : undefined
}

function comparedOf(words: string | null): DeskAddress['compared'] {
  const found = /^(\d{1,9})-(\d{1,9})$/.exec(words ?? '')
  return found ? { from: Number(found[1]), to: Number(found[2]) } : undefined
}

/** “want:page”, “move:mouse/left:tap”, “copy:mouse/left:tap”. */
const handWords = (hand: InHand): string =>
  hand.of === 'chip'
    ? `${hand.copy ? 'copy' : 'move'}:${hand.button}:${hand.gesture}`
    : `${hand.of}:${hand.id}`

function handOf(words: string | null): DeskAddress['hand'] {
  const [, of, id] = /^(want|action):(.+)$/.exec(words ?? '') ?? []
  if (of && id) return { of: of as 'want' | 'action', id }
  const [, how, button, gesture = ''] = /^(move|copy):([^:]+):([a-z_]+)$/.exec(words ?? '') ?? []
  return how && button && GESTURES.includes(gesture)
    ? { of: 'chip', button, gesture: gesture as Gesture, copy: how === 'copy' }
    : undefined
}

/** Reads the part of an address behind its question mark; what is not known is as it is usual. */
export function readAddress(search: string): DeskAddress {
  const given = new URLSearchParams(search)
  return {
    place: given.get('place') ?? HERE.place,
    mode: given.get('mode') ?? HERE.mode,
    only: given.get('only')?.split(',').filter(Boolean) ?? [],
    without: given.get('without')?.split(',').filter(Boolean) ?? [],
    view: VIEWS.find((one) => one === given.get('view')) ?? HERE.view,
    devices: given.get('devices') === 'find' ? 'find' : 'together',
    compared: comparedOf(given.get('compared')),
    hand: handOf(given.get('hand')),
    sheet: sheetOf(given.get('sheet')),
    tuned: readTuned(given),
  }
}

/** As it is now: what is shown may be a moment behind it, for who types fast. */
export const addressNow = (): DeskAddress => readAddress(window.location.search)

/** The part of an address behind its question mark, or nothing where all is as usual. */
export function writeAddress(address: DeskAddress): string {
  const { place, mode, only, without, view, devices, compared, hand, sheet, tuned } = address
  const said: [string, string | undefined][] = [
    ['place', place === HERE.place ? undefined : place],
    ['mode', mode === HERE.mode ? undefined : mode],
    ['only', only.length > 0 ? only.join(',') : undefined],
    ['without', without.length > 0 ? without.join(',') : undefined],
    ['view', view === HERE.view ? undefined : view],
    ['devices', devices === HERE.devices ? undefined : devices],
    ['compared', compared && `${String(compared.from)}-${String(compared.to)}`],
    ['hand', hand && handWords(hand)],
    ['sheet', sheet && wordsOf(sheet)],
    ...tunedWords(tuned),
  ]
  const search = new URLSearchParams()
  for (const [name, value] of said) if (value !== undefined) search.set(name, value)
  const text = search.toString()
  return text ? `?${text}` : ''
}

/** What goes along to another step: all but a sheet that belongs to its own. */
export function alongTo(address: DeskAddress, ofNoStep: (sheet: SheetAddress) => boolean): string {
  const { sheet } = address
  return writeAddress({ ...address, hand: undefined, sheet: sheet && ofNoStep(sheet) ? sheet : undefined })
}
