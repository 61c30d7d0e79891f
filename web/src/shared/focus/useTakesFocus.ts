import { useEffect, type RefObject } from 'react'
import { owner } from './owner'

/** What opens takes the focus, and gives it back to where it was when it closes. */
export function useTakesFocus(first: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const way = owner.wayBack()
    first.current?.focus()
    // Once it is gone from the page.
    return () => void setTimeout(() => owner.goBack(way))
  }, [first])
}
