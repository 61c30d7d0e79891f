import { useCallback, useEffect, useRef } from 'react'

/**
 * Keeps the focus where no press is one of the page’s own buttons or fields: a client whose button is the space bar
 * would work whatever was clicked last. Whoever uses the keyboard stays where they are.
 */
export function useFree() {
  const pane = useRef<HTMLElement>(null)
  const free = useCallback(() => pane.current?.focus(), [])
  useEffect(() => {
    free()
    const onClick = ({ detail, target }: MouseEvent) => {
      if (detail > 0 && target instanceof Element && target.closest('[data-free] button')) free()
    }
    document.addEventListener('click', onClick)
    return () => document.removeEventListener('click', onClick)
  }, [free])
  return { pane, free }
}
