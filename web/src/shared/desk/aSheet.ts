import type { ComponentType } from 'react'
import { later } from '../ui'
import type { SheetDefinition, SheetKind, SheetProps } from './step'

/** A side sheet whose script comes when it is first opened. */
export function aSheet<Of extends SheetKind>(
  load: () => Promise<ComponentType<SheetProps<Of>>>,
  more: Pick<SheetDefinition<Of>, 'onlySeen'> = {},
): SheetDefinition<Of> {
  return { View: later(load, null, true), ...more }
}
