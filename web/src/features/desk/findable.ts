import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { api, must, type Desk } from '../../shared/api'
import { COMMANDS, type CommandId, type Move } from '../../shared/desk'
import { useFoundActions } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { STEPS } from './steps'
import { say } from './sentences'

/** Something that can be found by its name and done. */
export interface Findable {
  key: string
  /** What kind of thing it is. */
  kind: string
  name: string
  note?: string | undefined
  run: () => void
}

const MOST = 12

/** Every word is found, at the beginning of some word. */
export function hasWords(name: string, said: string): boolean {
  const names = name.toLowerCase().split(/[\s,]+/)
  return said
    .toLowerCase()
    .split(/\s+/)
    .filter(Boolean)
    .every((word) => names.some((one) => one.startsWith(word)))
}

/** What of a desk, the catalogue and the caseload has these words; the desk’s own before the rest. */
export function useFindable(
  desk: Desk,
  said: string,
  commands: Partial<Record<CommandId, () => void>>,
  go: (move: Move, step?: string) => void,
): Findable[] {
  const navigate = useNavigate()
  const mayChange = useMayChange()
  const words = said.trim()
  const actions = useFoundActions(words).actions
  const clients = useQuery({
    queryKey: ['clients', 'find', words],
    enabled: words.length > 1,
    queryFn: async () =>
      (await must(api.GET('/api/clients', { params: { query: { search: words } } }))).clients,
    placeholderData: (before) => before,
  })
  const others = words.length > 1 ? clients.data : undefined
  return useMemo(() => {
    const devices = desk.hosts.flatMap((host) => host.devices)
    const own: Findable[] = [
      ...(Object.entries(commands) as [CommandId, () => void][]).map(([id, run]) => ({
        key: say.command(id),
        kind: 'do',
        name: COMMANDS[id].name,
        note: COMMANDS[id].keys.join(', ').replaceAll('Control', 'Ctrl'),
        run,
      })),
      ...STEPS.map(({ step, name }) => ({
        key: say.step(step),
        kind: 'step',
        name,
        run: () => void navigate(`/clients/${desk.id}/${step}`),
      })),
      ...devices.map((device) => ({
        key: say.device(device.id),
        kind: 'device',
        name: device.name,
        note: say.shownAlone,
        run: () => go({ do: 'only', only: [device.id] }, 'assign'),
      })),
      ...devices.flatMap((device) =>
        device.buttons.map((button) => ({
          key: say.button(button.ref),
          kind: 'button',
          name: button.full_name,
          note: say.itsTap,
          run: () =>
            go(
              { do: 'open', sheet: { of: 'gesture', button: button.ref, gesture: 'tap', also: [] } },
              'assign',
            ),
        })),
      ),
    ]
    const found = own.filter((one) => hasWords(one.name, words))
    const inHand = mayChange && words !== '' ? actions.filter((one) => one.asks.length === 0) : []
    const rest: Findable[] = [
      ...inHand.slice(0, 6).map((action) => ({
        key: say.action(action.id),
        kind: 'action',
        name: action.name,
        note: say.takeHand,
        run: () => go({ do: 'hand', hand: { of: 'action', id: action.id } }, 'assign'),
      })),
      ...(others ?? []).map((client) => ({
        key: say.client(client.id),
        kind: 'client',
        name: client.name,
        run: () => void navigate(`/clients/${client.id}`),
      })),
    ]
    return [...found.slice(0, MOST - Math.min(6, rest.length)), ...rest].slice(0, MOST)
  }, [desk, commands, words, actions, others, mayChange, navigate, go])
}
