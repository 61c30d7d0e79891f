import type { Desk, Found, Gesture } from '../../shared/api'
import type { Move, SheetAddress } from '../../shared/desk'

/** Where something that was found leads. */
export type Leads =
  | { to: 'command'; id: string }
  | { to: 'page'; path: string }
  | { to: 'desk'; moves: Move[]; step?: string }
  /** A setting that every button has: of which one is asked first. */
  | { to: 'which-button'; setting: string; name: string }

const move = (one: Move, step?: string): Leads => ({ to: 'desk', moves: [one], ...(step ? { step } : {}) })
const spot = (place: string, mode: string): Move => ({ do: 'spot', place, mode })
const LANES: Move = { do: 'view', view: 'lanes' }

/** Levels are set where they are seen. */
export const LEVELS: readonly string[] = ['press_at', 'release_at']

/** To the times of a button; who only looks, to its device's lanes. */
export const toTimes = (button: string, setting: string, mayChange: boolean): Leads => {
  if (LEVELS.includes(setting)) return move({ do: 'tune', button }, 'tune')
  return mayChange
    ? move({ do: 'open', sheet: { of: 'rename', button } }, 'assign')
    : toDevice(deviceOf(button))
}

const deviceOf = (button: string) => button.slice(0, button.indexOf('/'))
const toDevice = (device: string) => move({ do: 'only', only: [device] }, 'assign')

/** Where it leads; undefined where whoever looks may not go. */
export function leadsOf(found: Found, desk: Desk, mayChange: boolean): Leads | undefined {
  const { kind, id } = found
  switch (kind) {
    case 'do':
      return { to: 'command', id }
    case 'step':
      return { to: 'page', path: `/clients/${desk.id}/${id}` }
    case 'help':
      return found.leads ? ofHelp(found.leads, desk, mayChange) : undefined
    case 'want':
      return mayChange
        ? move({ do: 'open', sheet: { of: 'want', id } }, 'wants')
        : { to: 'page', path: `/clients/${desk.id}/wants` }
    case 'host':
      return mayChange
        ? move({ do: 'open', sheet: { of: 'host', id } }, 'devices')
        : { to: 'page', path: `/clients/${desk.id}/devices` }
    case 'device':
      return toDevice(id)
    case 'button':
      return mayChange
        ? move({ do: 'open', sheet: { of: 'gesture', button: id, gesture: 'tap', also: [] } }, 'assign')
        : toDevice(deviceOf(id))
    case 'assignment':
      return ofAssignment(id, mayChange)
    case 'action':
      return mayChange ? move({ do: 'hand', hand: { of: 'action', id } }, 'assign') : undefined
    case 'place':
      return { to: 'desk', moves: [spot(id, 'base'), LANES], step: 'assign' }
    case 'mode':
      return { to: 'desk', moves: [spot('everywhere', id), LANES], step: 'assign' }
    case 'shortlist':
      return mayChange
        ? move({ do: 'open', sheet: { of: 'shortlist', id } }, 'assign')
        : move({ do: 'view', view: 'shortlists' }, 'assign')
    case 'value':
      return toTimes(firstOf(id), restOf(id), mayChange)
    case 'setting':
      return ofSetting(found, mayChange)
    case 'revision':
      return Number(id) > 1
        ? move({ do: 'compare', compared: { from: Number(id) - 1, to: Number(id) } }, 'assign')
        : move({ do: 'open', sheet: { of: 'history' } })
  }
}

const firstOf = (words: string) => words.slice(0, words.indexOf(' '))
const restOf = (words: string) => words.slice(words.indexOf(' ') + 1)

function ofHelp(leads: NonNullable<Found['leads']>, desk: Desk, mayChange: boolean): Leads | undefined {
  const { do: command, step, devices, sheet, go } = leads
  if (command) return { to: 'command', id: command }
  if (go) return { to: 'page', path: go }
  if (devices) return move({ do: 'devices', devices }, 'devices')
  if (sheet) return mayChange ? move({ do: 'open', sheet: { of: sheet } }) : undefined
  return step ? { to: 'page', path: `/clients/${desk.id}/${step}` } : undefined
}

function ofAssignment(id: string, mayChange: boolean): Leads {
  const [button = '', gesture = '', place = 'everywhere', mode = 'base'] = id.split(' ')
  const at = spot(place, mode)
  if (!mayChange)
    return { to: 'desk', moves: [at, LANES, { do: 'only', only: [deviceOf(button)] }], step: 'assign' }
  const sheet: SheetAddress = { of: 'gesture', button, gesture: gesture as Gesture, also: [] }
  return { to: 'desk', moves: [at, LANES, { do: 'open', sheet }], step: 'assign' }
}

/** Of a host or a device: “host computer pointer_speed_percent”; of buttons the setting alone. */
function ofSetting({ id, name }: Found, mayChange: boolean): Leads | undefined {
  if (!id.includes(' ')) return { to: 'which-button', setting: id, name }
  if (!mayChange) return undefined
  const [about = '', item = ''] = id.split(' ')
  return move(
    { do: 'open', sheet: { of: 'settings', about: about as 'host' | 'device', id: item } },
    'devices',
  )
}
