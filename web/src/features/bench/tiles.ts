import type { BenchView, Tile } from '../../shared/api'
import { listenerName } from '../../shared/hearing'
import { say } from './sentences'

/** A tile as shown, and what it said before it was decided anew. */
export interface ShownTile {
  tile: Tile
  /** What the listener is called that heard it, where it isn’t this browser. */
  elsewhere?: string
  was: string | undefined
}

export interface TilesState {
  /** Views by stream, newest stream first. */
  views: readonly BenchView[]
  /** What each finished tile said, in which revision. */
  said: Readonly<Record<string, { words: string; revision: number }>>
  was: Readonly<Record<string, string>>
}

/** As many as the server tells of one stream. */
const MOST_TILES = 40

export const NO_TILES: TilesState = { views: [], said: {}, was: {} }

/** What a tile came to, in a few words. */
export function tileWords(tile: Tile): string {
  const main = tile.results.find((result) => result.phase !== 'end')
  if (!main) return say.notDecidedYetAlone
  if (main.phase === 'ignored') return say.ignored(main.reason ?? '')
  return say.became(main.gesture_name, main.action_name ?? say.nothing)
}

/** What a view tells in place of what stood there; what it passes over stays. */
function mergedTiles(before: Tile[], { tiles, from_us: from }: BenchView): Tile[] {
  if (from === null) return tiles
  const told = new Set(tiles.map((tile) => tile.key))
  const kept = before.filter((tile) => tile.began_us < from && !told.has(tile.key))
  return [...tiles, ...kept].sort((one, other) => other.began_us - one.began_us).slice(0, MOST_TILES)
}

/** Puts a stream's newest view in place; an older one changes nothing. Notes what changed sides. */
export function takeView(state: TilesState, view: BenchView): TilesState {
  const before = state.views.find((one) => one.stream === view.stream)
  if (before && (view.received < before.received || view.revision < before.revision)) return state
  const whole = before ? { ...view, tiles: mergedTiles(before.tiles, view) } : view
  const views = before
    ? state.views.map((one) => (one.stream === view.stream ? whole : one))
    : [whole, ...state.views]
  const said = { ...state.said }
  const was = { ...state.was }
  for (const tile of view.tiles.filter((one) => one.over || one.results.length > 0)) {
    const words = tileWords(tile)
    const last = said[tile.key]
    if (last && last.words !== words) {
      was[tile.key] =
        last.revision === view.revision ? last.words : say.revision(last.words, String(last.revision))
    }
    said[tile.key] = { words, revision: view.revision }
  }
  return { views, said, was }
}

/** Views of the past, newest first, behind those that are live. */
export function takeHistory(state: TilesState, views: BenchView[]): TilesState {
  const known = new Set(state.views.map((view) => view.stream))
  const taken = views.filter((view) => known.has(view.stream)).reduce(takeView, state)
  const older = views.filter((view) => !known.has(view.stream))
  const withOlder = older.reduce(takeView, { ...taken, views: [] })
  return { ...withOlder, views: [...taken.views, ...older] }
}

/** own – the id of this browser as a listener. */
export function shownTiles(state: TilesState, own: string | undefined): ShownTile[] {
  return state.views.flatMap((view) =>
    view.tiles.map((tile) => ({
      tile,
      ...(view.listener_id !== own && { elsewhere: listenerName(view.listener) }),
      was: state.was[tile.key],
    })),
  )
}
