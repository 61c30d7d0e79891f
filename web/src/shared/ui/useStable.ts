import { useCallback, useLayoutEffect, useRef } from 'react'

/** The same function for as long as the part is there, doing what the newest one does: a hundred lanes hang on it. */
export function useStable<Given extends unknown[], Back>(does: (...given: Given) => Back) {
  const now = useRef(does)
  useLayoutEffect(() => {
    now.current = does
  })
  return useCallback((...given: Given): Back => now.current(...given), [])
}
