import type { Desk } from '../../shared/api'
import { CountsHeld } from './lazy'

/** What is counted while a mode is held, above its lanes; nothing where nothing is. */
export function CountsOfMode({ desk, mode }: { desk: Desk; mode: string }) {
  return mode === 'base' ? null : <CountsHeld client={desk.id} mode={mode} />
}
