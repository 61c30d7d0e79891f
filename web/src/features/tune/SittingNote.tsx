import { useState } from 'react'
import { PlainInput } from '../../shared/plain'
import { say } from './sentences'
import type { Step } from './queries'
import styles from './tune.module.css'

/** What must be known of these presses later. Saved when it is left. */
export function SittingNote({ note, onStep }: { note: string; onStep: (step: Step) => void }) {
  const [text, setText] = useState<string>()
  const save = () => {
    if (text !== undefined && text !== note) onStep({ do: 'note', note: text })
    setText(undefined)
  }
  return (
    <label className={styles.inline}>
      {say.note}
      <PlainInput
        maxLength={500}
        placeholder={say.noteHint}
        value={text ?? note}
        onChange={({ target }) => setText(target.value)}
        onBlur={save}
        onKeyDown={({ key }) => key === 'Enter' && save()}
      />
    </label>
  )
}
