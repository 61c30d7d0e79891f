import type { KeyboardEvent } from 'react'
import type { Chip, Lane } from '../../shared/api'
import { commandOf } from '../../shared/desk'
import { useChange, type Spot } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { spotName, type Carried, type Chosen } from '../assign'
import { gestureOf } from './ChipButton'
import { neighbour } from './picking'

interface Props {
  lanes: Lane[]
  spot: Spot
  carried: Carried | undefined
  onCarry: (carried: Carried) => void
  onPut: (carried: Carried, to: Chosen) => unknown
  onRename: (button: Chosen['button']) => void
}

/** Keys in the lanes and the table: arrows move, Delete clears, F2 renames, Ctrl+X, C and V carry. */
export function useLaneKeys({ lanes, spot, carried, onCarry, onPut, onRename }: Props) {
  const { change } = useChange()
  const mayChange = useMayChange()

  const at = (name: string) => {
    for (const lane of lanes) {
      const chip = lane.chips.find((one) => spotName(lane.button.ref, gestureOf(one)) === name)
      if (chip) return { button: lane.button, gesture: gestureOf(chip), chip }
      const empty = lane.empties.find((one) => spotName(lane.button.ref, one.gesture) === name)
      if (empty) return { button: lane.button, gesture: empty.gesture, chip: undefined }
    }
    return undefined
  }
  const act = (event: KeyboardEvent, here: NonNullable<ReturnType<typeof at>>): boolean => {
    const own = here.chip?.origin === 'here' ? here.chip : undefined
    const command = commandOf(event, 'lanes')
    if (command === 'rename') onRename(here.button)
    else if (command === 'clear' && own) clear(here, own)
    else if ((command === 'cut' || command === 'copy') && own)
      onCarry({ button: here.button, gesture: here.gesture, name: own.name, copy: command === 'copy' })
    else if (command === 'paste' && carried) void onPut(carried, here)
    else return false
    return true
  }
  const clear = ({ button, gesture }: Chosen, chip: Chip) =>
    void change(
      { kind: 'clear', button: button.ref, gesture, ...spot },
      `${button.name}, ${chip.gesture_name}: taken off.`,
      { tell: true },
    )

  return (event: KeyboardEvent<HTMLElement>) => {
    const spotted = event.target instanceof HTMLElement && event.target.dataset['spot']
    if (!spotted || event.altKey || event.metaKey) return
    if (event.key.startsWith('Arrow') && !event.ctrlKey) {
      const spots = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-spot]')]
      neighbour(spots, event.target as HTMLElement, event.key)?.focus()
      event.preventDefault()
      return
    }
    const here = mayChange ? at(spotted) : undefined
    if (here && act(event, here)) event.preventDefault()
  }
}
