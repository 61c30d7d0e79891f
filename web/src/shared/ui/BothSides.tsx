import styles from './ui.module.css'
import { say } from './sentences'

/** What somebody else changed, and what one's own change would do, side by side. */
export function BothSides(props: { author: string; theirs: string[]; mine: string[] }) {
  return (
    <div className={styles.sides}>
      <Side title={say.changed(props.author)} words={props.theirs} />
      <Side title={say.yoursWouldDo} words={props.mine} />
    </div>
  )
}

function Side({ title, words }: { title: string; words: string[] }) {
  return (
    <section aria-label={title}>
      <h3>{title}</h3>
      <ul>
        {words.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
        {words.length === 0 && <li>{say.nothingThatDiffersNow}</li>}
      </ul>
    </section>
  )
}
