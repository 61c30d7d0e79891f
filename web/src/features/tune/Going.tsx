import { useQueryClient } from '@tanstack/react-query'
import { Button } from 'antd'
import { useCallback } from 'react'
import { askAnew, allOf, keys, api, must, type Fit } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { Faults, useTask } from '../../shared/ui'
import { say } from './sentences'
import styles from './tune.module.css'

/** How far a fit has come, or why it came to nothing. */
export function Going({ client, fit }: { client: string; fit: Fit }) {
  const mayChange = useMayChange()
  const queries = useQueryClient()
  const end = useTask(
    useCallback(async () => {
      await must(api.POST('/api/fits/{fit}/end', { params: { path: { fit: fit.id } } }))
      void askAnew(queries, { queryKey: allOf('fit', client) })
    }, [client, fit.id, queries]),
  )
  if (fit.state === 'done') return null
  if (fit.state === 'failed' || fit.state === 'given_up')
    return (
      <div className={styles.going}>
        <p role="alert">{fit.error ?? say.wasGivenUp}</p>
        {mayChange && (
          <Button onClick={() => void askAnew(queries, { queryKey: keys.fitWanted(client) })}>
            {say.askAnew}
          </Button>
        )}
      </div>
    )
  const share = Math.floor((100 * fit.done) / Math.max(1, fit.of))
  const words = fit.state === 'waiting' ? say.waitingForWorker : say.working(String(share))
  return (
    <div className={styles.going}>
      <p role="status">{words}</p>
      <progress max={100} value={share} aria-label={words} />
      {mayChange && (
        <Button loading={end.busy} onClick={() => void end.run()}>
          {say.giveUp}
        </Button>
      )}
      <Faults refused={end.refused} />
    </div>
  )
}
