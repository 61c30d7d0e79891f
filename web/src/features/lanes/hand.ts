import { createContext } from 'react'
import { spotName, type Carried } from '../assign'
import type { Action, CatalogueAction, Gesture } from '../../shared/api'
import { say } from './sentences'

interface FreePlace {
  button: string
  gesture: Gesture
  costs: string[]
  loses: string[]
}

/** An action that is to be given to a button. */
export interface Given {
  of: 'given'
  name: string
  action: Action
  /** Its entry, where it asks something that must be said first. */
  asking: CatalogueAction | undefined
  /** By the name of the spot: what it would cost there, in words. */
  free: ReadonlyMap<string, string>
}

/** What is in hand: an action, or what stands on a gesture already. */
export type Hand = Given | ({ of: 'chip' } & Carried)

/** What it costs at each free place. */
export function freeBySpot(places: FreePlace[], shown: (button: string) => boolean): Given['free'] {
  return new Map(
    places
      .filter((one) => shown(one.button))
      .map(({ button, gesture, costs, loses }) => [spotName(button, gesture), costWords(costs, loses)]),
  )
}

function costWords(costs: string[], loses: string[]): string {
  const lost = loses.length > 0 ? say.noLonger(loses.join(', ').toLowerCase()) : ''
  return [...costs, lost].filter(Boolean).join('; ') || say.costsNothing
}

/** The action that is in hand over the lanes. */
export const HandContext = createContext<Given | undefined>(undefined)
