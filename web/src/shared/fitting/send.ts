import { api, must, PAGE, Refused, type Change, type HistoryStep } from '../api'
import type { Order, Saved } from './queue'
import { say } from './sentences'

const isStep = (made: Order['made']): made is HistoryStep => 'step' in made && !('kind' in made)

/**
 * Sends what shall be saved. Where it is not known whether it was, it is looked for.
 * lastSaved – the last revision that this page knows to have saved
 */
export async function send(client: string, order: Order, lastSaved: () => number): Promise<Saved> {
  try {
    return await post(client, order, lastSaved)
  } catch (error) {
    const mayBe = error instanceof Refused && error.mayBeSaved
    const revision = mayBe ? await ownSince(client, lastSaved()).catch(() => undefined) : undefined
    if (!revision) throw error
    return { revision, told: [say.noAnswerCameWas] }
  }
}

/** The newest revision, where this page has saved it and does not know of it yet: it saves one after another. */
async function ownSince(client: string, lastSaved: number) {
  const { revisions } = await must(
    api.GET('/api/clients/{client}/revisions', { params: { path: { client }, query: {} } }),
  )
  return revisions.find((one) => one.page === PAGE && one.number > lastSaved)
}

async function post(client: string, order: Order, lastSaved: () => number): Promise<Saved> {
  const { made, openedOn, options } = order
  const params = { path: { client } }
  if (isStep(made)) {
    const revision = made.revision ?? (await latest(client, made.step, lastSaved()))
    const body = { step: made.step, revision, page: PAGE }
    const answer = await must(api.POST('/api/clients/{client}/steps', { params, body }))
    return { revision: answer.revision, told: [] }
  }
  const answer = await must(
    api.POST('/api/clients/{client}/revisions', {
      params,
      body: {
        opened_on: openedOn,
        page: PAGE,
        change: made as Change,
        ...(options.note ? { note: options.note } : {}),
        ...(options.fit ? { fit: options.fit } : {}),
        ...(options.confirmS ? { confirm_s: options.confirmS } : {}),
      },
    }),
  )
  return { revision: answer.revision, told: answer.told }
}

/**
 * Which revision an undo means that was asked for while others of this page were on their way: the
 * last one, where that is this page's own.
 */
async function latest(client: string, step: HistoryStep['step'], own: number): Promise<number> {
  const history = await must(
    api.GET('/api/clients/{client}/revisions', { params: { path: { client }, query: {} } }),
  )
  const found = step === 'redo' ? history.redo : history.undo
  const newest = history.revisions[0]
  if (found !== null && newest?.number === own) return found
  throw new Refused({
    type: 'about:blank',
    title: say.notAsWas,
    status: 409,
    detail: newest
      ? say.savedRevisionBetweenNothing(newest.author, String(newest.number))
      : say.nothingWasTakenBack,
  })
}
