import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { api, must, type WayInState } from '../../shared/api'
import { useAccount } from '../../shared/session'
import { Faults, Field, useTask } from '../../shared/ui'
import styles from './joining.module.css'

const KEY = ['way-in']
/** While it is being opened or closed, looked at so often. */
const LOOK_MS = 700

const between = (state: WayInState | undefined) =>
  state !== undefined && (state.wanted !== null) !== (state.open !== null) && state.failed === null

/** Whether other machines reach Kippen to join by a code; a lead opens and closes that. */
export function WayIn({ onOther }: { onOther: () => unknown }) {
  const queries = useQueryClient()
  const lead = useAccount().role === 'lead'
  const { data: state } = useQuery({
    queryKey: KEY,
    queryFn: () => must(api.GET('/api/way-in')),
    refetchInterval: (query) => (between(query.state.data) ? LOOK_MS : false),
  })
  const [address, setAddress] = useState<string>()
  const chosen = address ?? state?.possible[0]
  const change = useTask(
    useCallback(
      async (to: string | undefined) => {
        const answer = await (to
          ? must(api.POST('/api/way-in', { body: { address: to } }))
          : must(api.DELETE('/api/way-in')))
        queries.setQueryData(KEY, answer)
      },
      [queries],
    ),
  )
  const open = state?.open
  useEffect(() => {
    void onOther()
  }, [open, onOther])
  if (!state) return null
  return (
    <section className={styles.how} aria-labelledby="way-in">
      <h3 id="way-in">From other machines</h3>
      <div role="status">
        {open && (
          <p>
            They reach Kippen at <strong>{open}</strong>: to join by a code, and for nothing else.
          </p>
        )}
        {!open && state.wanted && <p>Being opened at {state.wanted} …</p>}
        {open && !state.wanted && <p>Being closed …</p>}
        {!open && !state.wanted && <p>Closed: only a browser on this machine can join.</p>}
        {state.failed && <p>It could not be opened: {state.failed}.</p>}
      </div>
      {lead && state.wanted && (
        <Button loading={change.busy} onClick={() => void change.run(undefined)}>
          {open ? 'Close it' : 'Give up'}
        </Button>
      )}
      {!open && !state.wanted && state.possible.length > 0 && (
        <>
          <p>
            Opened, every machine in the network you share can reach this one at an address of its own, join
            by a code and send presses; nothing else. What goes over it is not encrypted. It stays open until
            it is closed here, or Kippen is stopped.
          </p>
          {lead ? (
            <>
              {state.possible.length > 1 && (
                <Field label="At which address of this machine?">
                  <Select
                    value={chosen ?? null}
                    onChange={setAddress}
                    options={state.possible.map((one) => ({ value: one, label: one }))}
                  />
                </Field>
              )}
              <Button loading={change.busy} onClick={() => void change.run(chosen)}>
                Open it at {chosen}
              </Button>
            </>
          ) : (
            <p>A lead can open it here.</p>
          )}
        </>
      )}
      {!open && !state.wanted && state.possible.length === 0 && (
        <p>
          It can’t be opened from here: this machine is in no network, or Kippen was not started by bin/start.
        </p>
      )}
      <Faults refused={change.refused} />
    </section>
  )
}
