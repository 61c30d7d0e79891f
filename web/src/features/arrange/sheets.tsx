import { aSheet } from '../../shared/desk'

/** Ready-made arrangements, and moving the pointer with buttons. */
export const arrangeSheets = {
  arrange: aSheet<'arrange'>(async () => {
    const { ArrangeSheet } = await import('./ArrangeSheet')
    return ({ now: { desk, go }, onClose }) => (
      <ArrangeSheet
        desk={desk}
        onClose={onClose}
        onPointer={() => go({ do: 'open', sheet: { of: 'pointer' } })}
      />
    )
  }),
  pointer: aSheet<'pointer'>(async () => {
    const { PointerSheet } = await import('./PointerSheet')
    return ({ now: { desk, spot }, onClose }) => <PointerSheet desk={desk} spot={spot} onClose={onClose} />
  }),
}
