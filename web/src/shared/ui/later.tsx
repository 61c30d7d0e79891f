import { useEffect, useState, type ComponentType, type ReactNode } from 'react'
import { NotFetched } from './NotFetched'

/**
 * A part of the pages whose script is fetched when it is first drawn, or as soon as `begin` asks for it. When it is there
 * it is drawn at once. (React's `lazy` first shows what stands in its place, if only for a moment, and then keeps that up
 * for 300 ms.) Where it can't be fetched, that is said in its place, and it can be asked for again; what else is shown
 * stays.
 * beside – it stands beside what is shown, and so does that it is missing
 */
export function later<P extends object>(
  load: () => Promise<ComponentType<P>>,
  waiting: ReactNode,
  beside = false,
) {
  let part: ComponentType<P> | undefined
  let coming: Promise<ComponentType<P>> | undefined
  const fetched = () =>
    (coming ??= load().then(
      (loaded) => (part = loaded),
      (fault: unknown) => {
        coming = undefined
        throw fault
      },
    ))

  function Later(props: P) {
    const [Part, setPart] = useState(() => part)
    const [tries, setTries] = useState(0)
    const [missing, setMissing] = useState(false)
    useEffect(() => {
      if (Part) return
      void fetched().then(
        (loaded) => setPart(() => loaded),
        () => setMissing(true),
      )
    }, [Part, tries])
    const again = () => {
      setMissing(false)
      setTries(tries + 1)
    }
    if (missing) return <NotFetched beside={beside} onAgain={again} />
    return Part ? <Part {...props} /> : waiting
  }

  return Object.assign(Later, { begin: () => void fetched().catch(() => undefined) })
}
