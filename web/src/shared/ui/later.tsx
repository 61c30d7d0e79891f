import { useEffect, useState, type ComponentType, type ReactNode } from 'react'

/**
 * A part of the pages whose script is fetched when it is first drawn, or as soon as `begin` asks for it. When it is there
 * it is drawn at once. (React's `lazy` first shows what stands in its place, if only for a moment, and then keeps that up
 * for 300 ms.) What can't be fetched is thrown where it would be drawn, and asked for again the next time.
 */
export function later<P extends object>(load: () => Promise<ComponentType<P>>, waiting: ReactNode) {
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
    const [fault, setFault] = useState<{ of: unknown }>()
    useEffect(() => {
      if (!Part)
        void fetched().then(
          (loaded) => setPart(() => loaded),
          (of: unknown) => setFault({ of }),
        )
    }, [Part])
    if (fault) throw fault.of
    return Part ? <Part {...props} /> : waiting
  }

  return Object.assign(Later, { begin: () => void fetched().catch(() => undefined) })
}
