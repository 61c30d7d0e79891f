import { aSheet } from '../../shared/desk'

/** What a press would do: of no step. */
export const answersSheets = {
  answers: aSheet<'answers'>(
    async () => {
      const { AnswersSheet } = await import('./AnswersSheet')
      return ({ now: { desk, buttons, spot, go }, onClose }) => (
        <AnswersSheet
          desk={desk}
          buttons={buttons}
          spot={spot}
          onSpot={(next) => go({ do: 'spot', ...next })}
          onClose={onClose}
        />
      )
    },
    { onlySeen: true },
  ),
}

/** Where and when something else holds: places, modes, shortlists, what is counted. */
export const whereSheets = {
  'new-place': aSheet<'new-place'>(async () => {
    const { NewPlaceSheet } = await import('./PlaceSheet')
    return ({ now, onClose }) => <NewPlaceSheet desk={now.desk} onClose={onClose} />
  }),
  place: aSheet<'place'>(async () => {
    const { PlaceSheet } = await import('./PlaceSheet')
    return ({ now, sheet, onClose }) => <PlaceSheet desk={now.desk} id={sheet.id} onClose={onClose} />
  }),
  'new-mode': aSheet<'new-mode'>(async () => {
    const { ModeSheet } = await import('./ModeSheet')
    return ({ now, onClose }) => <ModeSheet desk={now.desk} id={undefined} onClose={onClose} />
  }),
  mode: aSheet<'mode'>(async () => {
    const { ModeSheet } = await import('./ModeSheet')
    return ({ now, sheet, onClose }) => <ModeSheet desk={now.desk} id={sheet.id} onClose={onClose} />
  }),
  'take-mode': aSheet<'take-mode'>(async () => {
    const { TakeModeSheet } = await import('./TakeModeSheet')
    return ({ now: { desk, spot }, sheet, onClose }) => (
      <TakeModeSheet desk={desk} id={sheet.id} spot={spot} onClose={onClose} />
    )
  }),
  'new-shortlist': aSheet<'new-shortlist'>(async () => {
    const { ShortlistSheet } = await import('./ShortlistSheet')
    return ({ now, onClose }) => <ShortlistSheet desk={now.desk} id={undefined} onClose={onClose} />
  }),
  shortlist: aSheet<'shortlist'>(async () => {
    const { ShortlistSheet } = await import('./ShortlistSheet')
    return ({ now, sheet, onClose }) => <ShortlistSheet desk={now.desk} id={sheet.id} onClose={onClose} />
  }),
  'open-shortlist': aSheet<'open-shortlist'>(async () => {
    const { OpenShortlistSheet } = await import('./OpenShortlistSheet')
    return ({ now: { desk, spot }, sheet, onClose }) => (
      <OpenShortlistSheet desk={desk} id={sheet.id} spot={spot} onClose={onClose} />
    )
  }),
  count: aSheet<'count'>(async () => {
    const { CountSheet } = await import('./CountSheet')
    return ({ now, onClose }) => <CountSheet desk={now.desk} buttons={now.buttons} onClose={onClose} />
  }),
}
