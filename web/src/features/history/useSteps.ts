import { useChange, useHistory, useSaving, useSavingState } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'

/** Undo and redo of everything that is saved: undefined where there is nothing. */
export function useSteps(client: string) {
  const history = useHistory(client).data?.pages[0]
  const { change } = useChange()
  const { queue } = useSaving()
  const { sending } = useSavingState()
  const mayChange = useMayChange()
  const back = history?.undo
  const again = history?.redo
  // While something is on its way, or was saved since this was asked for, what is shown is not the last.
  const shown = sending === 0 && (history?.revisions[0]?.number ?? 0) >= queue.lastSaved
  const stepTo = (step: 'undo' | 'redo', revision: number, said: string) =>
    void change(shown ? { step, revision } : { step }, said)
  const undo =
    mayChange && (back || !shown) ? () => stepTo('undo', back ?? 0, say.lastChangeTakenBack) : undefined
  const redo = mayChange && (again || !shown) ? () => stepTo('redo', again ?? 0, say.holdsAgain) : undefined

  return { undo, redo }
}
