import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { useCommands, type DeskNow } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { mayLeave } from '../../shared/ui'
import { useSteps } from '../history'
import { useBench } from '../bench'
import { ALL_COMMANDS } from './allCommands'
import { CommandBar } from './CommandBar'
import { STEPS } from './steps'

interface Props {
  now: DeskNow
  /** Is the command bar open? */
  finding: boolean
  onFinding: (finding: boolean) => void
}

/** What the desk can be asked to do by keys, and by name in the command bar. */
export function DeskCommands({ now: { desk, go }, finding, onFinding }: Props) {
  const navigate = useNavigate()
  const mayChange = useMayChange()
  const { mode, bindings, start, stop } = useBench('mode', 'bindings', 'start', 'stop')
  const { undo, redo } = useSteps(desk)
  const listens = mode.kind === 'on'
  const mayListen = mayChange && bindings.size > 0
  const commands = useMemo((): Readonly<Record<string, () => void>> => {
    const to = (step: string) => () => {
      const there = () => void navigate(`/clients/${desk.id}/${step}`)
      if (mayLeave(there)) there()
    }
    return {
      help: () => go({ do: 'open', sheet: { of: 'help' } }),
      ...Object.fromEntries(STEPS.map(({ id }) => [id, to(id)])),
      history: () => go({ do: 'open', sheet: { of: 'history' } }),
      files: () => go({ do: 'open', sheet: { of: 'files' } }),
      ...(mayChange ? { 'carry-over': () => go({ do: 'open', sheet: { of: 'carry-over' } }) } : {}),
      answers: () => go({ do: 'open', sheet: { of: 'answers' } }),
      ...Object.assign({}, ...STEPS.map((one) => one.commands?.({ go }, mayChange))),
      print: () => window.print(),
      ...(mayListen ? { listen: listens ? stop : start } : {}),
    }
  }, [desk.id, go, navigate, listens, mayListen, mayChange, start, stop])
  useCommands({ ...commands, undo, redo, find: () => onFinding(true) }, ALL_COMMANDS)
  const all = useMemo(
    () => ({ ...commands, ...(undo ? { undo } : {}), ...(redo ? { redo } : {}) }),
    [commands, undo, redo],
  )
  return finding ? <CommandBar desk={desk} commands={all} go={go} onClose={() => onFinding(false)} /> : null
}
