import { aSheet } from '../../shared/desk'

/** What opens from the bench: of no step. */
export const benchSheets = {
  hand: aSheet<'hand'>(async () => {
    const { HandSheet } = await import('./HandSheet')
    return ({ now, onClose }) => <HandSheet desk={now.desk} buttons={now.buttons} onClose={onClose} />
  }),
}
