import { aSheet } from '../../shared/desk'

/** What was saved: of no step. */
export const historySheets = {
  history: aSheet<'history'>(
    async () => {
      const { HistorySheet } = await import('./HistorySheet')
      return ({ now: { desk, go }, onClose }) => (
        <HistorySheet
          desk={desk}
          onClose={onClose}
          onCompare={(compared) => go({ do: 'compare', compared }, 'assign')}
        />
      )
    },
    { onlySeen: true },
  ),
}
