import { useQueryClient } from '@tanstack/react-query'
import { Alert } from 'antd'
import { useState, type ChangeEvent } from 'react'
import { api, must, Refused } from '../../shared/api'
import styles from './desk.module.css'

/** No client yet: says what to do, and takes in a fitting file. */
export function EmptyDesk() {
  const queries = useQueryClient()
  const [refused, setRefused] = useState<Refused>()

  const takeIn = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0]
    event.target.value = ''
    if (!file) return
    const text = await file.text()
    try {
      await must(api.POST('/api/clients', { body: {}, bodySerializer: () => text }))
      setRefused(undefined)
      await queries.invalidateQueries({ queryKey: ['clients'] })
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      setRefused(error)
    }
  }

  return (
    <main className={styles.alone}>
      <h1>No client here yet</h1>
      <p>
        Take in a client with a fitting file (a JSON file in the form <em>fitting/1</em>), or stop Kippen and
        start it once with <code>bin/start --fresh</code> for the Saltmarsh Row demo.
      </p>
      <label className={styles.file}>
        Take in a fitting file
        <input type="file" accept=".json,application/json" onChange={(event) => void takeIn(event)} />
      </label>
      {refused && (
        <Alert
          type="error"
          title={refused.problem.detail}
          description={
            <ul>
              {(refused.problem.faults ?? []).map((fault) => (
                <li key={fault.where + fault.message}>
                  <code>{fault.where}</code>: {fault.message}
                </li>
              ))}
            </ul>
          }
        />
      )}
    </main>
  )
}
