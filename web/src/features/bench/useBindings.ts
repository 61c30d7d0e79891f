import { useCallback } from 'react'
import type { Button } from '../../shared/api'
import { sourceName } from '../../shared/hearing'
import { useAnnounce } from '../../shared/ui'
import { ownSources } from './binding'
import { say } from './sentences'
import { useBindElsewhere } from './useElsewhere'
import type { useListener } from './useListener'

type OwnListener = Pick<ReturnType<typeof useListener>, 'bindings' | 'rebind'>

/** Says what stands for which button, here or on another listener, and keeps it; what could not be kept is told. */
export function useBindings(
  client: string,
  buttons: Button[],
  { bindings, rebind }: OwnListener,
  onTrouble: (words: string | undefined) => void,
) {
  const announce = useAnnounce()
  const change = useCallback(
    async (next: (now: ReadonlyMap<string, string>) => Map<string, string>, words: string) => {
      try {
        await rebind(next)
        onTrouble(undefined)
        announce(words)
      } catch (error) {
        onTrouble(error instanceof Error ? error.message : say.bindingCouldNotSaved)
      }
    },
    [rebind, announce, onTrouble],
  )
  const bindElsewhere = useBindElsewhere(client, onTrouble)
  const bindTo = useCallback(
    (source: string, button: Button, other?: string) =>
      void (other
        ? bindElsewhere(other, source, button)
        : change(
            (now) => without(now, button).set(source, button.ref),
            say.standsFor(sourceName(source), button.name),
          )),
    [change, bindElsewhere],
  )
  const bindOwn = useCallback(
    (source: string, button: Button) => {
      // What stands for another button, or has something standing for it, stays so.
      const known = new Set([...bindings.keys(), ...bindings.values()])
      const all = ownSources(source, button, buttons).filter(
        ([own, ref]) => own === source || (!known.has(own) && !known.has(ref)),
      )
      const words =
        all.length === 1
          ? say.standsFor(sourceName(source), button.name)
          : say.thisBrowserHearsItself(String(all.length))
      void change((now) => new Map([...without(now, button), ...all]), words)
    },
    [buttons, bindings, change],
  )
  const unbind = useCallback(
    (button: Button) => void change((now) => without(now, button), say.nothingStandsForAny(button.name)),
    [change],
  )
  return { bindTo, bindOwn, unbind }
}

/** What stands for other buttons than this. */
const without = (now: ReadonlyMap<string, string>, button: Button) =>
  new Map([...now].filter(([, ref]) => ref !== button.ref))
