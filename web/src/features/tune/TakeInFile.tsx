import { Button } from 'antd'
import { useCallback, useRef, useState } from 'react'
import { api, must } from '../../shared/api'
import { Faults, useAnnounce, useTask } from '../../shared/ui'
import { useSittingTaken } from './queries'
import { say } from './sentences'

/** Takes in presses that were made elsewhere. */
export function TakeInFile({ client, button }: { client: string; button: string }) {
  const field = useRef<HTMLInputElement>(null)
  const taken = useSittingTaken(client)
  const announce = useAnnounce()
  const [unread, setUnread] = useState(false)
  const task = useTask(
    useCallback(
      async (file: Record<string, never>) => {
        const body = { button, file }
        const made = await must(
          api.POST('/api/clients/{client}/trials', { params: { path: { client } }, body }),
        )
        taken(made)
        announce(say.fileTaken(String(made.counted)))
      },
      [button, client, taken, announce],
    ),
  )
  const read = async (file: File) => {
    const found = await file
      .text()
      .then((text) => JSON.parse(text) as unknown)
      .catch(() => undefined)
    setUnread(typeof found !== 'object' || found === null)
    if (typeof found === 'object' && found !== null) await task.run(found as Record<string, never>)
  }
  return (
    <>
      <input
        ref={field}
        type="file"
        accept="application/json,.json"
        hidden
        aria-label={say.takeInFile}
        onChange={({ target }) => {
          const file = target.files?.[0]
          target.value = ''
          if (file) void read(file)
        }}
      />
      <Button loading={task.busy} onClick={() => field.current?.click()}>
        {say.takeInFile}
      </Button>
      {unread && <p role="alert">{say.fileNotRead}</p>}
      <Faults refused={task.refused} />
    </>
  )
}
