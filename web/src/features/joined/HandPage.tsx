import { useEffect, useState } from 'react'
import { Refused, type HandLine, type HandListData } from '../../shared/api'
import { HandList, type Tick } from '../../shared/handlist'
import { handList, tickHand } from './joined'
import styles from './joined.module.css'
import { say } from './sentences'

const ASK_MS = 10_000

/** Opened by a code for one device’s list: what is to be set there by hand, and nothing else. */
export function HandPage({ token, onLeave }: { token: string; onLeave: () => void }) {
  const [list, setList] = useState<HandListData>()
  const [trouble, setTrouble] = useState<string>()
  const [over, setOver] = useState(false)
  useEffect(() => {
    const failed = (error: unknown) => {
      if (!(error instanceof Refused)) throw error
      if (error.status === 401) setOver(true)
      setTrouble(error.problem.detail)
    }
    const ask = () =>
      void handList(token).then((now) => {
        setList(now)
        setTrouble(undefined)
      }, failed)
    ask()
    const again = setInterval(ask, ASK_MS)
    return () => clearInterval(again)
  }, [token])
  const tick = async (line: HandLine, what: Tick, why?: string): Promise<boolean> => {
    try {
      setList(await tickHand(token, line, what, why))
      setTrouble(undefined)
      return true
    } catch (error) {
      if (!(error instanceof Refused)) throw error
      setTrouble(error.problem.detail)
      return false
    }
  }
  return (
    <main className={styles.page}>
      <h1>{list ? say.setOn(list.name) : say.whatIsSet}</h1>
      {over && <p role="status">{say.wasEndedOtherSide}</p>}
      {trouble && !over && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      {list && !over && <HandList heading="h2" list={list} onTick={tick} />}
      <button type="button" className={styles.button} onClick={onLeave}>
        {say.leave}
      </button>
    </main>
  )
}
