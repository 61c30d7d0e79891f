import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useCallback, useState } from 'react'
import { allOf, api, askAnew, must, type Button as OneButton } from '../../shared/api'
import { ButtonField, Faults, useAnnounce, useTask } from '../../shared/ui'
import { say } from './sentences'

/** Presses that were made elsewhere: of which button they were is said, whatever the file calls it. */
export function PressesIn(props: { client: string; buttons: OneButton[]; file: Record<string, unknown> }) {
  const { client, buttons, file } = props
  const said = (file['button'] as { id?: unknown } | undefined)?.id
  const [button, setButton] = useState(buttons.find(({ ref }) => ref === said)?.ref ?? buttons[0]?.ref ?? '')
  const queries = useQueryClient()
  const announce = useAnnounce()
  const task = useTask(
    useCallback(async () => {
      const body = { button, file: file as Record<string, never> }
      const made = await must(
        api.POST('/api/clients/{client}/trials', { params: { path: { client } }, body }),
      )
      announce(say.pressesDone(String(made.counted)))
      await askAnew(queries, { queryKey: allOf('tuning', client) })
    }, [button, client, file, announce, queries]),
  )
  return (
    <>
      <ButtonField
        label={say.pressesOf}
        buttons={buttons}
        value={button}
        onChange={(ref) => setButton(ref ?? '')}
      />
      <Faults refused={task.refused} />
      <Button type="primary" loading={task.busy} onClick={() => void task.run()}>
        {say.takePresses}
      </Button>
    </>
  )
}
