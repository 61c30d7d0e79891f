import type { Checked, Desk } from '../../shared/api'

/** What a finding is called in the address: what it is, and where. */
export const nameOf = ({ id, where }: Checked): string =>
  [id, ...Object.entries(where).map(([name, value]) => `${name}=${value}`)].sort(byName).join('~')

// What it is comes first; the rest in an order of its own, whatever order it was sent in.
const byName = (one: string, other: string) =>
  Number(one.includes('=')) - Number(other.includes('=')) || one.localeCompare(other)

/** Where it can be seen: a path, with what is shown there. */
export function placeOf({ where }: Checked, desk: Desk): string {
  const { want, button, device, place, mode, shortlist, host } = where
  const at = (step: string, shown: Record<string, string | undefined>) => {
    const search = new URLSearchParams()
    for (const [name, value] of Object.entries(shown)) if (value) search.set(name, value)
    const words = search.toString()
    return `/clients/${desk.id}/${step}${words ? `?${words}` : ''}`
  }
  const only = button?.slice(0, button.indexOf('/')) ?? device
  if (want) return at('wants', { sheet: `want:${want}` })
  if (shortlist) return at('assign', { view: 'shortlists' })
  if (button) return at('assign', { only, place, mode })
  if (device) return at('devices', { only: device })
  if (mode) return at('assign', { view: 'modes' })
  return host ? at('devices', {}) : at('assign', {})
}
