import { say } from './sentences'
import { api, must, Refused, type HandLine, type HandListData, type Message } from '../../shared/api'
import type { Tick } from '../../shared/handlist'

const KEY = 'kippen.joined'
const OPENS = 'kippen.joined.opens'

/** What a joined browser keeps, so that it is still joined when the page is loaded again. */
export const kept = {
  token: () => localStorage.getItem(KEY),
  opens: (): Opens => (localStorage.getItem(OPENS) === 'list' ? 'list' : 'listener'),
  keep: (token: string, opens: Opens) => {
    localStorage.setItem(KEY, token)
    localStorage.setItem(OPENS, opens)
  },
  forget: () => {
    localStorage.removeItem(KEY)
    localStorage.removeItem(OPENS)
  },
}

const headers = (token: string) => ({ Authorization: `Bearer ${token}` })

/** The host's name, or undefined where the join has ended. */
export async function stillJoined(token: string): Promise<string | undefined> {
  try {
    return (await must(api.GET('/api/joined', { headers: headers(token) }))).host
  } catch (error) {
    if (error instanceof Refused && error.status === 401) return undefined
    throw error
  }
}

/** What a code opened: a listener, or the list of a device that is set by hand. */
export type Opens = 'listener' | 'list'

export async function join(code: string, name: string): Promise<{ token: string; opens: Opens }> {
  return must(api.POST('/api/joined', { body: { code, name } }))
}

/** The list that a code opened. */
export const handList = (token: string): Promise<HandListData> =>
  must(api.GET('/api/joined/by-hand', { headers: headers(token) }))

export const tickHand = (
  token: string,
  { key, mark }: HandLine,
  tick: Tick,
  why = '',
): Promise<HandListData> =>
  must(api.POST('/api/joined/by-hand', { body: { key, mark, tick, why }, headers: headers(token) }))

/** The ports of a StreamSender that sends as a joined listener. */
export function portsFor(token: string) {
  return {
    begin: async () => (await must(api.POST('/api/joined/streams', { headers: headers(token) }))).id,
    send: (own: string, messages: Message[]) => sendTo(token, own, messages),
  }
}

function sendTo(token: string, own: string, messages: Message[]) {
  return must(
    api.POST('/api/joined/streams/{own}/messages', {
      params: { path: { own } },
      body: { messages },
      headers: headers(token),
    }),
  )
}

/** What stands on the screen of the host that one listens for. */
export async function screenOf(token: string) {
  return must(api.GET('/api/joined/screen', { headers: headers(token) }))
}

/** What the client is asked to press just now, or nothing. */
export async function promptOf(token: string) {
  return (await must(api.GET('/api/joined/prompt', { headers: headers(token) }))).prompt ?? undefined
}

export async function nameOfSource(token: string, source: string): Promise<string> {
  return (
    await must(api.GET('/api/joined/names', { params: { query: { source } }, headers: headers(token) }))
  ).name
}

/** What this browser might be called, as far as it tells. */
export function likelyName(): string {
  const agent = navigator.userAgent
  if (/Android.*Mobile|iPhone/.test(agent)) return say.phone
  if (/Android|iPad/.test(agent)) return say.tablet
  return say.computer
}
