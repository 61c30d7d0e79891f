import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useCallback, useEffect, useState } from 'react'
import { keys, api, must, type WayInState } from '../../shared/api'
import { useAccount } from '../../shared/session'
import { Faults, Field, useTask } from '../../shared/ui'
import styles from './joining.module.css'
import { say } from './sentences'

/** While it is being opened or closed, looked at so often. */
const LOOK_MS = 700

const between = (state: WayInState | undefined) =>
  state !== undefined && (state.wanted !== null) !== (state.open !== null) && state.failed === null

/** Whether other machines reach Kippen to join by a code; a lead opens and closes that. */
export function WayIn({ onOther }: { onOther: () => unknown }) {
  const queries = useQueryClient()
  const lead = useAccount().role === 'lead'
  const { data: state } = useQuery({
    queryKey: keys.wayIn(),
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
        queries.setQueryData(keys.wayIn(), answer)
      },
      [queries],
    ),
  )
  const open = state?.open
  useEffect(() => {
    void onOther()
  }, [open, onOther])
  if (!state || state.reached) return null
  return (
    <section className={styles.how} aria-labelledby="way-in">
      <h3 id="way-in">{say.fromOtherMachines}</h3>
      <div role="status">
        {open && <p>{say.theyReachKippen(open)}</p>}
        {!open && state.wanted && <p>{say.beingOpened(state.wanted)}</p>}
        {open && !state.wanted && <p>{say.beingClosed}</p>}
        {!open && !state.wanted && <p>{say.closedOnlyBrowserThis}</p>}
        {state.failed && <p>{say.couldNotOpened(state.failed)}</p>}
      </div>
      {lead && state.wanted && (
        <Button loading={change.busy} onClick={() => void change.run(undefined)}>
          {open ? say.close : say.giveUp}
        </Button>
      )}
      {!open && !state.wanted && state.possible.length > 0 && (
        <>
          <p>{say.openedEveryMachineNetwork}</p>
          {lead ? (
            <>
              {state.possible.length > 1 && (
                <Field label={say.whichAddressThisMachine}>
                  <Select
                    value={chosen ?? null}
                    onChange={setAddress}
                    options={state.possible.map((one) => ({ value: one, label: one }))}
                  />
                </Field>
              )}
              <Button loading={change.busy} onClick={() => void change.run(chosen)}>
                {say.openAlone} {chosen}
              </Button>
            </>
          ) : (
            <p>{say.leadCanOpenHere}</p>
          )}
        </>
      )}
      {!open && !state.wanted && state.possible.length === 0 && <p>{say.cantOpenedFromHere}</p>}
      <Faults refused={change.refused} />
    </section>
  )
}
