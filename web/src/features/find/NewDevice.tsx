import { askAnew, allOf } from '../../shared/api'
import { Button, Input, Select } from 'antd'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import type { HeardSource } from '../../shared/api'
import { useFormChange } from '../../shared/fitting'
import { Field, FormOf } from '../../shared/ui'
import styles from './find.module.css'
import { say } from './sentences'

/** What was heard is of no device of the client: a new one, as which it may be, gets a name and is there. */
export function NewDevice({ client, heard }: { client: string; heard: HeardSource }) {
  const queries = useQueryClient()
  const { change, busy, refused } = useFormChange()
  const [kind, setKind] = useState(heard.kinds[0]?.id ?? '')
  const [name, setName] = useState<string>()
  const called = name ?? heard.kinds.find((one) => one.id === kind)?.name ?? ''
  const onSubmit = async () => {
    const devices = [{ of: kind, name: called.trim() }]
    if (await change({ kind: 'add_devices', devices }, say.added(called)))
      await askAnew(queries, { queryKey: allOf('heard', client) })
  }
  return (
    <div className={styles.nameIt} data-never-heard>
      <FormOf className={styles.new} onSubmit={onSubmit} refused={refused}>
        <Field label={say.newDeviceOf} at="of">
          <Select
            value={kind}
            options={heard.kinds.map((one) => ({ value: one.id, label: one.name }))}
            onChange={setKind}
          />
        </Field>
        <Field label={say.newDeviceCalled} at="name">
          <Input required maxLength={120} value={called} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Button htmlType="submit" loading={busy} disabled={!called.trim()}>
          {say.addNewDevice}
        </Button>
      </FormOf>
    </div>
  )
}
