import { aSheet } from '../../shared/desk'

/** Files out and in, and what is carried over from elsewhere: of no step. */
export const filesSheets = {
  files: aSheet<'files'>(
    async () => {
      const { FilesSheet } = await import('./FilesSheet')
      return ({ now, onClose }) => (
        <FilesSheet
          desk={now.desk}
          buttons={now.buttons}
          onClose={onClose}
          onCarry={() => now.go({ do: 'open', sheet: { of: 'carry-over' } })}
        />
      )
    },
    { onlySeen: true },
  ),
  'carry-over': aSheet<'carry-over'>(async () => {
    const { CarryOverSheet } = await import('./CarryOverSheet')
    return ({ now, onClose }) => <CarryOverSheet desk={now.desk} onClose={onClose} />
  }),
}
