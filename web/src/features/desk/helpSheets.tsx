import { aSheet } from '../../shared/desk'

/** All keys, and how Kippen looks: of no step. */
export const helpSheets = {
  help: aSheet<'help'>(
    async () => {
      const { HelpSheet } = await import('./HelpSheet')
      return ({ onClose }) => <HelpSheet onClose={onClose} />
    },
    { onlySeen: true },
  ),
}
