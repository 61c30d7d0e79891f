import type { Heard } from '../../shared/hearing'

/** A source that was heard while a button was looked for. */
export interface FoundSource {
  source: string
  down: boolean
  /** How often it was pressed. */
  presses: number
  level: number | undefined
  /** What kind of button gives it. */
  kind: 'contact' | 'force' | 'notch'
}

const kindOf = (heard: Heard): FoundSource['kind'] =>
  heard.edge === 'notch' ? 'notch' : heard.edge === 'level' ? 'force' : 'contact'

const NEW = { down: false, presses: 0, level: undefined }

/** What was heard so far, the latest first. */
export function hearFound(found: readonly FoundSource[], heard: Heard): FoundSource[] {
  const before = found.find((one) => one.source === heard.source)
  const was = before ?? { ...NEW, source: heard.source, kind: kindOf(heard) }
  const down = heard.edge === 'down' || (heard.level ?? 0) > 0
  const pressed = heard.edge === 'notch' || (down && !was.down)
  const now = { ...was, down, level: heard.level, presses: was.presses + (pressed ? 1 : 0) }
  return [now, ...found.filter((one) => one !== before)]
}
