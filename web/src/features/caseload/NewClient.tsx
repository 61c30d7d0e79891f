import { useQueryClient } from '@tanstack/react-query'
import { Button, Input } from 'antd'
import { useCallback, useState, type ChangeEvent } from 'react'
import { useNavigate } from 'react-router'
import { askAnew, keys, api, must } from '../../shared/api'
import { Faults, Field, useTask, FormOf } from '../../shared/ui'
import styles from './caseload.module.css'
import { say } from './sentences'

const WHOLE = 'client/1'

/** Is it all that was kept of a client? What else it may be the server says. */
function isWhole(text: string): boolean {
  try {
    return (JSON.parse(text) as { kippen?: unknown } | null)?.kippen === WHOLE
  } catch {
    return false
  }
}

/** Takes in a client: by name, with a fitting file, or with all that was kept of one. */
export function NewClient() {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const [name, setName] = useState('')
  const [about, setAbout] = useState('')
  const takeIn = useTask(
    useCallback(
      async (text: string) => {
        const sent = { bodySerializer: () => text }
        const desk = isWhole(text)
          ? await must(api.POST('/api/whole-clients', { body: { kippen: WHOLE, revisions: [] }, ...sent }))
          : await must(api.POST('/api/clients', { body: {}, ...sent }))
        await askAnew(queries, { queryKey: keys.clients() })
        await navigate(`/clients/${desk.id}/wants`)
      },
      [queries, navigate],
    ),
  )
  const onFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (file) await takeIn.run(await file.text())
  }
  const onSubmit = () => {
    const client = { name: name.trim(), ...(about.trim() ? { about: about.trim() } : {}) }
    void takeIn.run(JSON.stringify({ kippen: 'fitting/1', client }))
  }
  return (
    <section className={styles.sheet} aria-labelledby="new-client">
      <h2 id="new-client">{say.takeClient}</h2>
      <FormOf onSubmit={onSubmit} refused={takeIn.refused}>
        <Field label={say.name} hint={say.whatServiceCallsThem} at="name">
          <Input value={name} required maxLength={120} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={say.fewWords} hint={say.forExampleLeftThumb} at="about">
          <Input value={about} maxLength={120} onChange={(event) => setAbout(event.target.value)} />
        </Field>
        <Faults refused={takeIn.refused} />
        <Button type="primary" htmlType="submit" loading={takeIn.busy}>
          {say.take}
        </Button>
      </FormOf>
      <label className={styles.file}>
        {say.withFittingFile}
        <input type="file" accept=".json,application/json" onChange={(event) => void onFile(event)} />
      </label>
    </section>
  )
}
