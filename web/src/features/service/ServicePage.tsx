import { useAccount } from '../../shared/session'
import { PageFrame, useTitle } from '../../shared/ui'
import { Accounts } from './Accounts'
import { AuditTrail } from './AuditTrail'
import { Counted } from './Counted'
import { OwnAccount } from './OwnAccount'
import styles from './service.module.css'
import { say } from './sentences'
import { ToBeEmptied } from './ToBeEmptied'

/** One's own account; for a lead also the service's accounts and who changed what. */
export function ServicePage() {
  const account = useAccount()
  useTitle(account.role === 'lead' ? say.service : say.myAccount)
  return (
    <PageFrame>
      <div className={styles.page}>
        {account.role === 'lead' && <Accounts />}
        <OwnAccount />
        {account.role === 'lead' && <ToBeEmptied />}
        {account.role === 'lead' && <AuditTrail />}
        {account.role === 'lead' && <Counted />}
      </div>
    </PageFrame>
  )
}
