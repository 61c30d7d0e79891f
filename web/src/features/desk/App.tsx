import { Button, Spin } from 'antd'
import { useState } from 'react'
import { useClients, useDesk } from '../../shared/fitting'
import { Desk } from './Desk'
import { EmptyDesk } from './EmptyDesk'
import styles from './desk.module.css'

function Trouble({ words, onRetry }: { words: string; onRetry: () => void }) {
  return (
    <main className={styles.alone}>
      <h1>Kippen can’t show the desk</h1>
      <p role="alert">{words}</p>
      <Button type="primary" onClick={onRetry}>
        Try again
      </Button>
    </main>
  )
}

function Waiting() {
  return (
    <main className={styles.alone} aria-busy="true">
      <h1>Kippen</h1>
      <p>Opening the desk …</p>
      <Spin />
    </main>
  )
}

function DeskOf(props: { client: string; onClient: (client: string) => void }) {
  const desk = useDesk(props.client)
  if (desk.data) return <Desk desk={desk.data} onClient={props.onClient} />
  if (desk.error) return <Trouble words={desk.error.message} onRetry={() => void desk.refetch()} />
  return <Waiting />
}

export function App() {
  const clients = useClients()
  const [chosen, setChosen] = useState<string>()
  if (clients.error && !clients.data) {
    return <Trouble words={clients.error.message} onRetry={() => void clients.refetch()} />
  }
  if (!clients.data) return <Waiting />
  const client = clients.data.find((one) => one.id === chosen) ?? clients.data[0]
  if (!client) return <EmptyDesk />
  return <DeskOf key={client.id} client={client.id} onClient={setChosen} />
}
