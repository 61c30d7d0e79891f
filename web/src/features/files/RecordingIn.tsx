import { useQuery } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useCallback, useState } from 'react'
import { Refused, api, keys, must, type Button as OneButton, type TakenTrace } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { Faults, Field, useTask } from '../../shared/ui'
import { keepAsFile } from './keepAsFile'
import { Told } from './Told'
import { say } from './sentences'
import styles from './files.module.css'

const NONE = ''

/** A recording of a Linux program: its codes are asked for, one by one, then it is a trace. */
export function RecordingIn(props: { client: string; buttons: OneButton[]; id: string; base64: string }) {
  const { client, buttons, id, base64 } = props
  const send = useCallback(
    (stands: { code: string; button: string }[]) =>
      must(
        api.POST('/api/clients/{client}/recordings', {
          params: { path: { client } },
          body: { recording: base64, stands },
        }),
      ),
    [client, base64],
  )
  const { data, error } = useQuery({
    queryKey: keys.takenTrace(client, useRevision(), id),
    queryFn: () => send([]),
    retry: false,
  })
  const [chosen, setChosen] = useState<ReadonlyMap<string, string>>(new Map())
  const [made, setMade] = useState<TakenTrace>()
  const task = useTask(
    useCallback(async () => {
      const all = data?.heard.map(({ code, likely }) => ({
        code,
        button: chosen.get(code) ?? likely ?? NONE,
      }))
      setMade(await send(all?.filter(({ button }) => button !== NONE) ?? []))
    }, [data, chosen, send]),
  )
  if (error) return <Faults refused={error instanceof Refused ? error : undefined} />
  if (!data) return <p>{say.working}</p>
  if (data.heard.length === 0) return <p>{say.noCodes}</p>
  const options = [
    { value: NONE, label: say.noButton },
    ...buttons.map(({ ref, full_name }) => ({ value: ref, label: full_name })),
  ]
  const { trace } = made ?? { trace: null }
  return (
    <>
      <p>
        <strong>{say.codes}</strong>
      </p>
      {data.heard.map(({ code, presses, likely }) => (
        <Field key={code} label={say.codeHeard(code, say.presses(presses))}>
          <Select
            value={chosen.get(code) ?? likely ?? NONE}
            options={options}
            onChange={(button) => setChosen(new Map(chosen).set(code, button))}
          />
        </Field>
      ))}
      <Faults refused={task.refused} />
      <p className={styles.row}>
        <Button type="primary" loading={task.busy} onClick={() => void task.run()}>
          {say.makeTrace}
        </Button>
        {trace !== null && <Button onClick={() => keepAsFile(trace, 'trace.csv')}>{say.keepTrace}</Button>}
      </p>
      {made && <Told taken={made} />}
    </>
  )
}
