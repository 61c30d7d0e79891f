import type { BenchView } from '../api'

/** For tests: a view of a stream in which nothing has happened yet. */
export const emptyView = (stream: string, received: number, more: Partial<BenchView> = {}): BenchView => ({
  stream,
  listener: 'This browser',
  listener_id: 'l1',
  heard: [],
  revision: 1,
  received,
  heard_through: received,
  from_us: null,
  next_us: null,
  now_us: 0,
  waiting: [],
  tiles: [],
  ...more,
})
