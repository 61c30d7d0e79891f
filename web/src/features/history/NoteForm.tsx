import { Button, Input } from 'antd'
import { useState, type FormEvent } from 'react'
import { useChange } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import styles from './history.module.css'
import { say } from './sentences'

/** Saves the state as it is once more, with a note by which it is found again. */
export function NoteForm() {
  const { change, busy } = useChange()
  const [note, setNote] = useState('')
  const keep = async (event: FormEvent) => {
    event.preventDefault()
    if (await change({ kind: 'note' }, say.stateKeptWithIts, { note })) setNote('')
  }
  return (
    <form className={styles.note} onSubmit={(event) => void keep(event)}>
      <Field label={say.noteHowNow}>
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
    </form>
  )
}
