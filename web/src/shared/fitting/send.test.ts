import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { PAGE } from '../api'
import { send } from './send'

const ORDER = { made: { kind: 'client' as const, name: 'Una' }, openedOn: 4, options: {} }
const json = (value: object, status = 200) =>
  new Response(JSON.stringify(value), { status, headers: { 'content-type': 'application/json' } })
const revision = (number: number, page: string | null) => ({
  number,
  parent: number - 1,
  author: 'A',
  note: '',
  created_at: '2026-11-26T12:00:00Z',
  page,
})
const lost = () =>
  json({ type: 'about:blank', title: '', status: 503, detail: 'lost', saved: 'unknown' }, 503)

/** A server that answers a save as told, and has these revisions. */
function serve(save: () => Response | Promise<Response>, revisions: object[]) {
  const asked: string[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    asked.push(request.method)
    return request.method === 'POST' ? save() : json({ revisions, undo: null, redo: null })
  })
  return asked
}

describe('send', () => {
  beforeEach(() => vi.useRealTimers())
  afterEach(() => vi.unstubAllGlobals())

  it.each([
    ['says that it does not know', lost],
    ['gives no answer', () => Promise.reject(new TypeError('Failed to fetch'))],
  ])('finds what was saved all the same where the server %s', async (_, save) => {
    serve(save, [revision(6, PAGE), revision(5, 'another')])
    const saved = await send('one', ORDER, () => 4)
    expect([saved.revision.number, saved.told]).toEqual([6, ['No answer came; it was saved all the same.']])
  })

  it.each([
    ['only others have saved', [revision(6, 'another'), revision(5, null)]],
    ['what it saved last it knew of already', [revision(4, PAGE)]],
  ])('is refused where %s', async (_, revisions) => {
    serve(lost, revisions)
    await expect(send('one', ORDER, () => 4)).rejects.toMatchObject({ status: 503, mayBeSaved: true })
  })

  it('does not look where it is known that nothing was saved', async () => {
    const asked = serve(
      () => json({ type: 'about:blank', title: '', status: 422, detail: 'no' }, 422),
      [revision(6, PAGE)],
    )
    await expect(send('one', ORDER, () => 4)).rejects.toMatchObject({ status: 422, mayBeSaved: false })
    expect(asked).toEqual(['POST'])
  })

  it('takes nothing back where somebody else saved in between', async () => {
    const asked = serve(
      () => json({ revision: revision(8, PAGE) }, 201),
      [revision(7, 'another'), revision(6, PAGE)],
    )
    const undo = { made: { step: 'undo' as const }, openedOn: 6, options: {} }
    await expect(send('one', undo, () => 6)).rejects.toMatchObject({ status: 409 })
    expect(asked).toEqual(['GET'])
  })

  it('takes back the revision that was shown, whichever is the newest by then: the server says no', async () => {
    let body: unknown
    vi.stubGlobal('fetch', async (request: Request) => {
      body = await request.json()
      return json({ type: 'about:blank', title: '', status: 409, detail: 'no' }, 409)
    })
    const undo = { made: { step: 'undo' as const, revision: 6 }, openedOn: 6, options: {} }
    await expect(send('one', undo, () => 6)).rejects.toMatchObject({ status: 409 })
    expect(body).toMatchObject({ step: 'undo', revision: 6 })
  })

  it('sends the fit that it rests on', async () => {
    let body: unknown
    vi.stubGlobal('fetch', async (request: Request) => {
      body = await request.json()
      return json({ revision: revision(7, PAGE), told: [] }, 201)
    })
    await send('one', { ...ORDER, options: { fit: 'f1', note: 'fitted' } }, () => 4)
    expect(body).toMatchObject({ fit: 'f1', note: 'fitted', opened_on: 4, page: PAGE })
  })
})
