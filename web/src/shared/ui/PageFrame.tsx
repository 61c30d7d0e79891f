import { Button } from 'antd'
import type { ReactNode } from 'react'
import { NavLink } from 'react-router'
import { api, must } from '../api'
import { useAccount, useSessionChanged } from '../session'
import styles from './ui.module.css'
import { say } from './sentences'

const ROLES = { lead: 'lead', specialist: 'specialist', viewer: say.viewerLooksOnly } as const

/** What stands around the pages outside of the desk: where one is, who one is, the way out. */
export function PageFrame({ children }: { children: ReactNode }) {
  const account = useAccount()
  const changed = useSessionChanged()
  const signOut = async () => {
    await must(api.POST('/api/session/sign-out', { body: {} }))
    await changed()
  }
  return (
    <div className={styles.page}>
      <header className={styles.band}>
        <p className={styles.service}>
          <strong>{account.service}</strong>
          <span>{say.kippen}</span>
        </p>
        <nav aria-label={say.pages}>
          <NavLink to="/" end>
            {say.clientsAlone}
          </NavLink>
          {account.role !== 'viewer' && <NavLink to="/kinds">{say.kindsOfDevice}</NavLink>}
          <NavLink to="/service">{account.role === 'lead' ? say.service : say.myAccount}</NavLink>
        </nav>
        <p className={styles.me}>
          <strong>{account.name}</strong>
          <span>{ROLES[account.role]}</span>
        </p>
        <Button ghost onClick={() => void signOut()}>
          {say.signOut}
        </Button>
      </header>
      <main className={styles.main} tabIndex={-1}>
        {children}
      </main>
    </div>
  )
}
