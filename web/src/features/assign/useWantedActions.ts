import { useMemo } from 'react'
import type { CatalogueAction } from '../../shared/api'
import { useActions, useWants } from '../../shared/fitting'
import { choiceOf } from './actionChoice'

/** The actions of wants that no button does yet, as far as they ask nothing. */
export function useWantedActions(client: string): CatalogueAction[] {
  const wants = useWants(client).data
  const actions = useActions()
  return useMemo(() => {
    const open = (wants ?? []).filter((want) => want.state === 'open')
    const meant = open.map((want) => choiceOf(want.action, actions).picked)
    return [...new Set(meant)].filter(
      (one) => one !== undefined && one.asks.length === 0,
    ) as CatalogueAction[]
  }, [wants, actions])
}
