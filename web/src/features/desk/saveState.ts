import type { QueueState } from '../../shared/fitting'
import { say } from './sentences'

type SaveState = 'saved' | 'saving' | 'failed'

/** “Saved” is said only when nothing is on its way and nothing was refused. */
export function stateOf({ sending, refused }: QueueState): SaveState {
  if (refused.length > 0) return 'failed'
  return sending > 0 ? 'saving' : 'saved'
}

/** The same in words. */
export function stateWords(queue: QueueState): string {
  const { length } = queue.refused
  return {
    saved: say.saved,
    saving: say.saving,
    failed: say.changesNotSaved(length),
  }[stateOf(queue)]
}
