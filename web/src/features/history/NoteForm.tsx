import { Button, Input } from 'antd'
import { useState } from 'react'
import { useChange } from '../../shared/fitting'
import { Field, FormOf } from '../../shared/ui'
import styles from './history.module.css'
import { say } from './sentences'

/** Saves the state as it is once more, with a note by which it is found again. */
export function NoteForm() {
  const { change, busy, refused } = useChange()
  const [note, setNote] = useState('')
  const keep = async () => {
    if (await change({ kind: 'note' }, say.stateKeptWithIts, { note })) setNote('')
  }
  return (
    <FormOf className={styles.note} onSubmit={keep} refused={refused}>
      <Field label={say.noteHowNow} at="note">
        <Input
          maxLength={500}
          value={note}
          placeholder={say.beforeNewWheelchair}
          onChange={(event) => setNote(event.target.value)}
        />
      </Field>
      <Button htmlType="submit" disabled={busy || note.trim() === ''}>
        {say.keepWithThisNote}
      </Button>
    </FormOf>
  )
}
