import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import type { Desk } from '../../shared/api'
import { useCommands, type CommandId, type Move } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { mayLeave } from '../../shared/ui'
import { useSteps } from '../history'
import { useBench } from '../bench'
import { WHERE_VIEWS } from '../where'
import { CommandBar } from './CommandBar'

interface Props {
  desk: Desk
  go: (move: Move, step?: string) => void
  /** Is the command bar open? */
  finding: boolean
  onFinding: (finding: boolean) => void
}

/** What the desk can be asked to do by keys, and by name in the command bar. */
export function DeskCommands({ desk, go, finding, onFinding }: Props) {
  const navigate = useNavigate()
  const mayChange = useMayChange()
  const { mode, bindings, start, stop } = useBench()
  const { undo, redo } = useSteps(desk.id)
  const listens = mode.kind === 'on'
  const mayListen = mayChange && bindings.size > 0
  const commands = useMemo((): Partial<Record<CommandId, () => void>> => {
    const to = (step: string) => () => {
      const there = () => void navigate(`/clients/${desk.id}/${step}`)
      if (mayLeave(there)) there()
    }
    return {
      help: () => go({ do: 'open', sheet: { of: 'help' } }),
      wants: to('wants'),
      devices: to('devices'),
      assign: to('assign'),
      tune: to('tune'),
      history: () => go({ do: 'open', sheet: { of: 'history' } }),
      ...(mayChange ? { pointer: () => go({ do: 'open', sheet: { of: 'pointer' } }, 'assign') } : {}),
      answers: () => go({ do: 'open', sheet: { of: 'answers' } }),
      ...Object.fromEntries(WHERE_VIEWS.map((view) => [view, () => go({ do: 'view', view }, 'assign')])),
      print: () => window.print(),
      ...(mayListen ? { listen: listens ? stop : start } : {}),
    }
  }, [desk.id, go, navigate, listens, mayListen, mayChange, start, stop])
  useCommands({ ...commands, undo, redo, find: () => onFinding(true) })
  const all = useMemo(
    () => ({ ...commands, ...(undo ? { undo } : {}), ...(redo ? { redo } : {}) }),
    [commands, undo, redo],
  )
  return finding ? <CommandBar desk={desk} commands={all} go={go} onClose={() => onFinding(false)} /> : null
}
