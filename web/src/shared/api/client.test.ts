import { afterEach, describe, expect, it, vi } from 'vitest'
import { api, carryToken, must, Refused, whenSignedOut } from '.'
import { faultSaid } from './client'

/** An answer as fetch gives it: it knows where it comes from. */
const answer = (request: Request, status: number, body: unknown) => {
  const response = new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  })
  Object.defineProperty(response, 'url', { value: request.url })
  return Promise.resolve(response)
}

afterEach(() => vi.unstubAllGlobals())

describe('the way to the server', () => {
  it('says when nobody is signed in any more, but not where one is about to sign in', async () => {
    const out = vi.fn()
    whenSignedOut(out)
    vi.stubGlobal('fetch', (request: Request) =>
      answer(request, 401, { status: 401, detail: 'Sign in first' }),
    )
    await expect(must(api.GET('/api/session'))).rejects.toBeInstanceOf(Refused)
    expect(out).not.toHaveBeenCalled()
    await expect(must(api.GET('/api/kinds'))).rejects.toMatchObject({ status: 401 })
    expect(out).toHaveBeenCalledTimes(1)
  })

  it('carries the token with what changes something alone', async () => {
    const sent: (string | null)[] = []
    vi.stubGlobal('fetch', (request: Request) => {
      sent.push(request.headers.get('X-CSRF-Token'))
      return answer(request, 200, {})
    })
    carryToken('abc')
    await api.GET('/api/kinds')
    await api.POST('/api/joined', { body: { code: 'A', name: 'B' } })
    expect(sent).toEqual([null, 'abc'])
  })

  it('tells a server that can’t be reached from one that refuses', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')))
    await expect(must(api.GET('/api/kinds'))).rejects.toMatchObject({ status: 0 })
  })
})

it('tells a fault by the name of what it is of, without an address', () => {
  const said = (where: string) => faultSaid({ where, message: 'is not there' })
  expect(['/change/place', '/change/items/3', '/change', ''].map(said)).toEqual([
    'place: is not there',
    'items: is not there',
    'is not there',
    'is not there',
  ])
})
