import { OF_PEOPLE } from '../../shared/text'
import { useEffect, useState } from 'react'
import { lastUsed, type Session } from '../../shared/api'
import { PlainButton } from '../../shared/plain'
import { endsSoon, useSession } from '../../shared/session'
import styles from './signin.module.css'
import { say } from './sentences'

const LOOK_MS = 5000
const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })

/** Says before it that somebody will be signed out, and how to stay. */
export function SessionEnds({ session }: { session: Session }) {
  const { refetch } = useSession()
  const [soon, setSoon] = useState<ReturnType<typeof endsSoon>>()
  useEffect(() => {
    const look = () => {
      const next = endsSoon(session, Date.now(), lastUsed())
      setSoon((now) => (now?.at === next?.at ? now : next))
    }
    const timer = window.setInterval(look, LOOK_MS)
    return () => window.clearInterval(timer)
  }, [session])
  if (!soon) return null
  const stay = async () => {
    await refetch()
    setSoon(undefined)
  }
  return (
    <div role="alert" className={styles.ends}>
      <p>
        {say.whatBeingWrittenStays(
          soon.canStay ? say.signedOutAt(TIME.format(soon.at)) : say.signInAgainAt(TIME.format(soon.at)),
        )}
      </p>
      {soon.canStay && <PlainButton onClick={() => void stay()}>{say.staySigned}</PlainButton>}
    </div>
  )
}
