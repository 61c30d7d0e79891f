import { aSheet } from '../../shared/desk'

/** Letting the client's own devices listen: of no step. */
export const joiningSheets = {
  join: aSheet<'join'>(async () => {
    const { JoinSheet } = await import('./JoinSheet')
    return ({ now, onClose }) => <JoinSheet desk={now.desk} onClose={onClose} />
  }),
}
