import { PlainButton } from '../plain'
import styles from './ui.module.css'
import sheetStyles from './sheet.module.css'
import { say } from './sentences'

/** A part of the page could not be fetched: the rest is as it was. */
export function NotFetched({ beside, onAgain }: { beside: boolean; onAgain: () => void }) {
  return (
    <aside className={beside ? sheetStyles.sheet : styles.nothing}>
      <p role="alert">{say.partNotFetched}</p>
      <p>
        <PlainButton onClick={onAgain}>{say.tryAgain}</PlainButton>
      </p>
    </aside>
  )
}
