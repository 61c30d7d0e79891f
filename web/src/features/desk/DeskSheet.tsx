import type { ComponentType } from 'react'
import { wordsOf, type DeskNow, type SheetAddress } from '../../shared/desk'
import { SHEETS } from './steps'

/** What is open beside: another begins anew. */
export function DeskSheet({
  now,
  sheet,
  onClose,
}: {
  now: DeskNow
  sheet: SheetAddress
  onClose: () => void
}) {
  // By its kind each is given its own address; the compiler can't follow that through the list.
  const View = SHEETS[sheet.of].View as ComponentType<{
    now: DeskNow
    sheet: SheetAddress
    onClose: () => void
  }>
  return <View key={wordsOf(sheet)} now={now} sheet={sheet} onClose={onClose} />
}
