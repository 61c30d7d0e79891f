import { say } from './sentences'
import { api, must, Refused, type Message } from '../../shared/api'

const KEY = 'kippen.joined'

/** What a joined browser keeps, so that it is still joined when the page is loaded again. */
export const kept = {
  token: () => localStorage.getItem(KEY),
  keep: (token: string) => localStorage.setItem(KEY, token),
  forget: () => localStorage.removeItem(KEY),
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

export async function join(code: string, name: string): Promise<string> {
  return (await must(api.POST('/api/joined', { body: { code, name } }))).token
}

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
