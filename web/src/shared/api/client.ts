import createClient from 'openapi-fetch'
import { roomIsLow } from './room'
import { say } from './sentences'
import { used } from './use'
import type { paths } from './schema'
import type { Problem } from './types'

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  fetch: (request) => fetch(request),
})

/** Names this open page: what it saved itself is no conflict with it. */
export const PAGE = Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) =>
  byte.toString(16).padStart(2, '0'),
).join('')

let token = ''
let onSignedOut = () => undefined as unknown
/** Signed out on purpose: what else was on its way then tells nothing new. */
let left = false

export const leftOnPurpose = (): boolean => left

/** The token that changes carry, as the session gave it. */
export function carryToken(csrf: string): void {
  token = csrf
}

/** What happens when the server says that nobody is signed in any more. */
export function whenSignedOut(then: () => unknown): void {
  onSignedOut = then
}

api.use({
  onRequest: ({ request }) => {
    if (request.url.endsWith('/api/session/sign-out')) left = true
    if (request.method !== 'GET') request.headers.set('X-CSRF-Token', token)
  },
  onResponse: ({ response }) => {
    roomIsLow(response.headers.get('x-kippen-room') === 'low')
    if (response.status !== 401) used()
    if (response.ok && /\/session\/(sign-in|demo)$/.test(response.url)) left = false
    if (response.status === 401 && !left && !response.url.includes('/api/session')) onSignedOut()
  },
})

/** A fault by the name of what it is of, without the address that is for machines. */
export function faultSaid({ where, message }: { where: string; message: string }): string {
  const of = where
    .split('/')
    .filter((part) => part !== '' && !/^\d+$/.test(part))
    .at(-1)
  return of === undefined || of === 'change' ? message : `${of.replaceAll('_', ' ')}: ${message}`
}

/** What the server refused, with its reasons. Status 0: it could not be reached. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    const faults = (problem.faults ?? []).map((fault) => faultSaid(fault))
    super(faults.length > 0 ? `${problem.detail.replace(/\.$/, '')}. ${faults.join('. ')}` : problem.detail)
  }

  get status(): number {
    return this.problem.status
  }

  /** There was no answer, or one that doesn’t know: what was sent may have been saved. */
  get mayBeSaved(): boolean {
    return this.problem.status === 0 || this.problem.saved === 'unknown'
  }
}

interface Answer<T> {
  data?: T
  error?: unknown
  response: Response
}

function problemOf(error: unknown, status: number): Problem {
  if (typeof error === 'object' && error !== null && 'detail' in error) return error as Problem
  return {
    type: 'about:blank',
    title: say.notPossible,
    status,
    detail: status === 413 ? say.tooMuch : say.answered(String(status)),
  }
}

/** The data of an answer; throws Refused where there is none. */
export async function must<T>(asked: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>
  try {
    answer = await asked
  } catch {
    throw new Refused({
      type: 'about:blank',
      title: say.notReached,
      status: 0,
      detail: say.cantBeReached,
    })
  }
  if (answer.data === undefined) throw new Refused(problemOf(answer.error, answer.response.status))
  return answer.data
}
