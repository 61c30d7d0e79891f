import type { KeyboardEvent } from 'react'
import type { Chip, Lane } from '../../shared/api'
import { commandOf } from '../../shared/desk'
import { useChange, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import type { Carried, Chosen } from '../assign'
import { neighbour, placeOf, type LanePlace } from './picking'
import { say } from './sentences'

/** A place for what is in hand. */
export const FREE = '[data-free="true"]'

interface Props {
  lanes: Lane[]
  spot: Spot
  carriedNow: () => Carried | undefined
  /** Then arrows lead from one free place to the next. */
  handFull: boolean
  onCarry: (carried: Carried) => void
  onPut: (carried: Carried, to: Chosen) => unknown
  onRename: (button: Chosen['button']) => void
}

/** Keys in the lanes and the table: arrows move, Delete clears, F2 renames, Ctrl+X, C and V carry. */
export function useLaneKeys({ lanes, spot, carriedNow, handFull, onCarry, onPut, onRename }: Props) {
  const { change } = useChange()
  const mayChange = useMayChange()

  const act = (event: KeyboardEvent, here: LanePlace): boolean => {
    const own = here.chip?.origin === 'here' ? here.chip : undefined
    const command = commandOf(event, 'lanes')
    if (command === 'rename') onRename(here.button)
    else if (command === 'clear' && own) clear(here, own)
    else if ((command === 'cut' || command === 'copy') && own)
      onCarry({ button: here.button, gesture: here.gesture, name: own.name, copy: command === 'copy' })
    else if (command === 'paste' && carriedNow()) putHere(here)
    else return false
    return true
  }
  const putHere = (here: Chosen) => {
    const carried = carriedNow()
    if (carried) void onPut(carried, here)
  }
  const clear = ({ button, gesture }: Chosen, chip: Chip) =>
    void change(
      { kind: 'clear', button: button.ref, gesture, ...spot },
      say.takenOff(button.name, chip.gesture_name),
      { tell: true },
    )

  return (event: KeyboardEvent<HTMLElement>) => {
    const target = event.target
    if (!(target instanceof HTMLElement) || event.altKey || event.metaKey) return
    const stops = handFull ? FREE : '[data-stop], [data-spot]'
    // On a boundary left and right move it; with Ctrl they lead on there too.
    if (event.key.startsWith('Arrow') && target.matches('[data-stop], [data-spot]')) {
      neighbour([...event.currentTarget.querySelectorAll<HTMLElement>(stops)], target, event.key)?.focus()
      event.preventDefault()
      return
    }
    const spotted = target.dataset['spot']
    const here = mayChange && spotted ? placeOf(lanes, spotted) : undefined
    if (here && act(event, here)) event.preventDefault()
  }
}
