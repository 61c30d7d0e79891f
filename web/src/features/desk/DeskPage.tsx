import { Button } from 'antd'
import { Link, Navigate, useParams } from 'react-router'
import { Waiting } from '../../shared/plain'
import { useDesk } from '../../shared/fitting'
import { Desk } from './Desk'
import { stepOf } from './steps'
import styles from './desk.module.css'
import { say } from './sentences'

/** The desk of the client whose address this is. */
export function DeskPage() {
  const { client = '', step } = useParams()
  const desk = useDesk(client)
  const definition = stepOf(step)
  if (step !== definition.id) return <Navigate to={`/clients/${client}/${definition.id}`} replace />
  if (desk.data) return <Desk key={client} desk={desk.data} step={definition} />
  if (desk.error) {
    return (
      <main className={styles.alone}>
        <h1>{say.kippenCantShowThis}</h1>
        <p role="alert">{desk.error.message}</p>
        <Button type="primary" onClick={() => void desk.refetch()}>
          {say.tryAgain}
        </Button>
        <Link to="/">{say.clients}</Link>
      </main>
    )
  }
  return (
    <main className={styles.alone} aria-busy="true">
      <h1>{say.kippen}</h1>
      <p>{say.openingDesk}</p>
      <Waiting />
    </main>
  )
}
