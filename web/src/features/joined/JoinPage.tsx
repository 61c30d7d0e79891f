import { lazy, Suspense, useCallback, useEffect, useState, type FormEvent } from 'react'
import { Refused } from '../../shared/api'
import { join, kept, likelyName, stillJoined, type Opens } from './joined'
import { JoinedPage } from './JoinedPage'
import styles from './joined.module.css'
import { useTitle } from '../../shared/ui/useTitle'
import { say } from './sentences'

/** Few come with such a code. */
const HandPage = lazy(async () => ({ default: (await import('./HandPage')).HandPage }))

/** Opened on the client's own device: type the code, and it listens. */
export function JoinPage() {
  const [token, setToken] = useState(kept.token)
  const list = token !== null && kept.opens() === 'list'
  const state = useStillJoined(list ? null : token)
  useTitle(say.letThisDeviceListen)
  const leave = useCallback(() => {
    kept.forget()
    setToken(null)
  }, [])
  if (list) {
    return (
      <Suspense fallback={<main className={styles.page} aria-busy="true" />}>
        <HandPage token={token} onLeave={leave} />
      </Suspense>
    )
  }
  if (token && state.kind === 'joined') return <JoinedPage token={token} host={state.host} onLeave={leave} />
  if (token && state.kind === 'asking') return <main className={styles.page} aria-busy="true" />
  if (token && state.kind === 'away') {
    return (
      <main className={styles.page}>
        <h1>{say.kippenCantReachedJust}</h1>
        <p role="status">{say.thisDeviceJoinedStill}</p>
        <button type="button" className={styles.button} onClick={leave}>
          {say.leave}
        </button>
      </main>
    )
  }
  return (
    <CodeForm
      ended={token !== null && state.kind === 'ended'}
      onJoined={(next, opens) => {
        kept.keep(next, opens)
        setToken(next)
      }}
    />
  )
}

type Joined = { kind: 'asking' } | { kind: 'joined'; host: string } | { kind: 'ended' } | { kind: 'away' }

const ASK_MS = 15_000
const ASK_AGAIN_MS = 3000

/** Is the token still good? Asked again and again; a server that is away for a while ends nothing. */
function useStillJoined(token: string | null): Joined {
  const [asked, setAsked] = useState<{ token: string; state: Joined }>()
  useEffect(() => {
    if (token === null) return
    let next: ReturnType<typeof setTimeout> | undefined
    let over = false
    const ask = async () => {
      const state = await answer(token)
      if (over) return
      // Who listens already goes on; what could not be sent is kept there.
      setAsked((last) => (state.kind === 'away' && last?.state.kind === 'joined' ? last : { token, state }))
      if (state.kind !== 'ended')
        next = setTimeout(() => void ask(), state.kind === 'away' ? ASK_AGAIN_MS : ASK_MS)
    }
    void ask()
    return () => {
      over = true
      clearTimeout(next)
    }
  }, [token])
  return asked && asked.token === token ? asked.state : { kind: 'asking' }
}

async function answer(token: string): Promise<Joined> {
  try {
    const host = await stillJoined(token)
    return host === undefined ? { kind: 'ended' } : { kind: 'joined', host }
  } catch (error) {
    if (error instanceof Refused) return { kind: 'away' }
    throw error
  }
}

function CodeForm({ ended, onJoined }: { ended: boolean; onJoined: (token: string, opens: Opens) => void }) {
  const [code, setCode] = useState(new URLSearchParams(window.location.search).get('code') ?? '')
  const [name, setName] = useState(likelyName)
  const [busy, setBusy] = useState(false)
  const [trouble, setTrouble] = useState<string>()
  const enter = async () => {
    setBusy(true)
    try {
      const { token, opens } = await join(code, name.trim() || likelyName())
      onJoined(token, opens)
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      setTrouble(error.problem.detail)
    } finally {
      setBusy(false)
    }
  }
  const onSubmit = (event: FormEvent) => {
    event.preventDefault()
    void enter()
  }
  return (
    <main className={styles.page}>
      <h1>{say.letThisDeviceListen}</h1>
      {ended && <p role="status">{say.wasEndedOtherSide}</p>}
      <form onSubmit={onSubmit} className={styles.form}>
        <label className={styles.field}>
          {say.sixCharactersShownOther}
          <input
            required
            className={styles.codeField}
            autoComplete="off"
            autoCapitalize="characters"
            maxLength={8}
            value={code}
            onChange={(event) => setCode(event.target.value.toUpperCase())}
          />
        </label>
        <label className={styles.field}>
          {say.whatThisDeviceCalled}
          <input maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
        </label>
        {trouble && (
          <p role="alert" className={styles.trouble}>
            {trouble}
          </p>
        )}
        <button type="submit" className={styles.first} disabled={busy}>
          {say.join}
        </button>
      </form>
      <p>{say.willSendPressesIts}</p>
    </main>
  )
}
