import { useEffect } from 'react'

/**
 * While a key that works the page's controls stands for a button, what was clicked does not keep the focus: the next
 * press of that key would work it again. Whoever goes by keys stays where they are; so does what is clicked in a sheet.
 */
export function useClickedFree(active: boolean) {
  useEffect(() => {
    if (!active) return
    const onClick = ({ detail, target }: MouseEvent) => {
      if (detail === 0 || !(target instanceof Element) || !target.closest('button')) return
      if (target.closest('[data-takes-escape], [role=dialog]')) return
      target.closest<HTMLElement>('[data-pane]')?.focus({ preventScroll: true })
    }
    document.addEventListener('click', onClick)
    return () => document.removeEventListener('click', onClick)
  }, [active])
}
