import { Button, Input, Select } from 'antd'
import { useCallback, useState } from 'react'
import { api, must, type Desk } from '../../shared/api'
import { Faults, Field, FormOf, useTask } from '../../shared/ui'
import { keepAsFile } from './keepAsFile'
import { say } from './sentences'
import styles from './files.module.css'

interface Made {
  text: string
  left: { button: string; why: string }[]
}

/** What of a device's buttons Linux does by itself, as a fragment of udev's hardware database. */
export function Remap({ desk }: { desk: Desk }) {
  const devices = desk.hosts.flatMap((host) => host.devices)
  const [asked, setAsked] = useState({ device: devices[0]?.id ?? '', bus: '0003', vendor: '', product: '' })
  const [made, setMade] = useState<Made>()
  const task = useTask(
    useCallback(async () => {
      const params = { path: { client: desk.id }, query: asked }
      setMade(await must(api.GET('/api/clients/{client}/remap', { params })))
    }, [desk.id, asked]),
  )
  if (devices.length === 0) return null
  const set = (part: Partial<typeof asked>) => {
    setAsked({ ...asked, ...part })
    setMade(undefined)
  }
  return (
    <>
      <h4>{say.remap}</h4>
      <p>{say.remapHow}</p>
      <FormOf onSubmit={() => void task.run()} refused={task.refused}>
        <Field label={say.device}>
          <Select
            value={asked.device}
            onChange={(device) => set({ device })}
            options={devices.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </Field>
        <div className={styles.row}>
          {(['bus', 'vendor', 'product'] as const).map((name) => (
            <Field key={name} label={say[name]} at={name}>
              <Input
                value={asked[name]}
                maxLength={4}
                required
                className={styles.four ?? ''}
                onChange={(event) => set({ [name]: event.target.value })}
              />
            </Field>
          ))}
        </div>
        <Faults refused={task.refused} />
        <Button htmlType="submit" loading={task.busy}>
          {say.make}
        </Button>
      </FormOf>
      {made && (
        <div role="status" className={styles.part}>
          <Input.TextArea
            readOnly
            autoSize
            value={made.text}
            aria-label={say.remap}
            className={styles.text ?? ''}
          />
          <Button onClick={() => keepAsFile(made.text, '70-kippen.hwdb')}>{say.keep}</Button>
          {made.left.length > 0 && (
            <>
              <p>
                <strong>{say.cantSay}</strong>
              </p>
              <ul>
                {made.left.map(({ button, why }) => (
                  <li key={button}>
                    <strong>{button}</strong>: {why}
                  </li>
                ))}
              </ul>
            </>
          )}
        </div>
      )}
    </>
  )
}
