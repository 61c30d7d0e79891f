import type { Desk } from '../../shared/api'
import { useChange, useSaving, useSavingState } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'

/** Undo and redo of everything that is saved: undefined where there is nothing. */
export function useSteps(desk: Pick<Desk, 'undo' | 'redo' | 'revision'>) {
  const { change } = useChange()
  const { queue } = useSaving()
  const { sending } = useSavingState()
  const mayChange = useMayChange()
  const { undo: back, redo: again } = desk
  // While something is on its way, or was saved since this was asked for, what is shown is not the last.
  const shown = sending === 0 && desk.revision.number >= queue.lastSaved
  const stepTo = (step: 'undo' | 'redo', revision: number, said: string) =>
    void change(shown ? { step, revision } : { step }, said)
  const undo =
    mayChange && (back || !shown) ? () => stepTo('undo', back ?? 0, say.lastChangeTakenBack) : undefined
  const redo = mayChange && (again || !shown) ? () => stepTo('redo', again ?? 0, say.holdsAgain) : undefined

  return { undo, redo }
}
