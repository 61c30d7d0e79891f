import { OF_PEOPLE } from '../../shared/text'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useMemo } from 'react'
import { keys, api, must, type Client, type Desk, type Found } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { leadsOf, LEVELS, toTimes, type Leads } from './leads'
import { ALL_COMMANDS } from './allCommands'
import { STEPS } from './steps'
import { say } from './sentences'

/** Something that can be found, and where it leads. */
export interface Findable {
  key: string
  /** What kind of thing it is. */
  kind: string
  name: string
  of?: string | undefined
  note?: string | undefined
  /** Is the note a sentence of its own? */
  sentence?: boolean | undefined
  leads: Leads
}

/** Every word is found, at the beginning of some word. */
export function hasWords(name: string, said: string): boolean {
  const names = name.toLowerCase().split(/[^\p{L}\p{N}]+/u)
  return said
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .every((word) => names.some((one) => one.startsWith(word)))
}

/** What can be done, before anything is said. */
export function offered(desk: Desk, does: ReadonlySet<string>): Findable[] {
  const commands = Object.entries(ALL_COMMANDS).filter(
    ([id]) => does.has(id) && !STEPS.some((step) => step.id === id),
  )
  return [
    ...STEPS.map(({ id, name }) => ({
      key: `step ${id}`,
      kind: say.kinds.step,
      name,
      leads: { to: 'page', path: `/clients/${desk.id}/${id}` } as const,
    })),
    ...commands.map(([id, { name }]) => ({
      key: `command ${id}`,
      kind: say.kinds.do,
      name,
      note: keysOf(id),
      leads: { to: 'command', id } as const,
    })),
  ]
}

/** The buttons for one of which a setting is looked for: those that can have it. */
export function buttonsFor(desk: Desk, setting: string, said: string, mayChange: boolean): Findable[] {
  return desk.hosts
    .flatMap((host) => host.devices.flatMap((device) => device.buttons))
    .filter(({ kind }) => (LEVELS.includes(setting) ? kind === 'force' : kind !== 'notch'))
    .filter((button) => hasWords(button.full_name, said))
    .map((button) => ({
      key: `button ${button.ref}`,
      kind: say.kinds.button,
      name: button.full_name,
      leads: toTimes(button.ref, setting, mayChange),
    }))
}

const keysOf = (id: string) => ALL_COMMANDS[id]?.keys.join(', ').replaceAll('Control', say.ctrl)

function notes(found: Found): Pick<Findable, 'of' | 'note' | 'sentence'> {
  const of = found.of ?? undefined
  switch (found.kind) {
    case 'do':
      return { note: keysOf(found.id) }
    case 'action':
      return { of, note: say.takeHand }
    case 'device':
      return { of, note: say.shownAlone }
    case 'button':
      return { of, note: say.itsTap }
    case 'revision':
      return { of, note: new Date(found.note ?? '').toLocaleString(OF_PEOPLE) }
    default:
      return { of, note: found.note ?? undefined, sentence: found.note?.endsWith('.') }
  }
}

/** What the server finds, with where it leads; nothing that whoever looks may not do. */
export function findables(
  found: Found[],
  desk: Desk,
  does: ReadonlySet<string>,
  mayChange: boolean,
): Findable[] {
  return found.flatMap((one) => {
    const leads = leadsOf(one, desk, mayChange)
    if (!leads || (leads.to === 'command' && !does.has(leads.id))) return []
    return [{ key: `${one.kind} ${one.id}`, kind: say.kinds[one.kind], name: one.name, leads, ...notes(one) }]
  })
}

interface Answer {
  found: Found[]
  clients: Client[]
}

/**
 * What of a desk and of the caseload is meant by what was said, the likeliest first.
 * soon – the same for who doesn’t wait for what is shown
 */
export function useFindable(desk: Desk, said: string, does: ReadonlySet<string>) {
  const queries = useQueryClient()
  const revision = useRevision()
  const mayChange = useMayChange()
  const words = said.trim().slice(0, 120)
  const asked = useCallback(
    (now: string) => ({
      queryKey: keys.found(desk.id, revision, now),
      queryFn: async () => {
        const [{ found }, { clients }] = await Promise.all([
          must(
            api.GET('/api/clients/{client}/found', {
              params: { path: { client: desk.id }, query: { words: now } },
            }),
          ),
          now.length > 1
            ? must(api.GET('/api/clients', { params: { query: { search: now } } }))
            : Promise.resolve({ clients: [] }),
        ])
        return { found, clients }
      },
    }),
    [desk.id, revision],
  )
  const answer = useQuery({ ...asked(words), enabled: words !== '', placeholderData: (before) => before })
  const told = useCallback(
    ({ found, clients }: Answer): Findable[] => [
      ...findables(found, desk, does, mayChange),
      ...clients.map((client) => ({
        key: `client ${client.id}`,
        kind: say.kinds.client,
        name: client.name,
        leads: { to: 'page', path: `/clients/${client.id}` } as const,
      })),
    ],
    [desk, does, mayChange],
  )
  const { data } = answer
  const found = useMemo(
    () => (words === '' ? offered(desk, does) : data ? told(data) : []),
    [words, desk, does, data, told],
  )
  const settled = words === '' || (answer.isSuccess && !answer.isPlaceholderData)
  const soon = async () => told(await queries.fetchQuery(asked(words)))
  return { found, settled, error: answer.error, soon }
}
