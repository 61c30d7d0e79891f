import { useCommands } from '../../shared/desk'

/** Goes round the panes. */
export function usePaneKeys(): void {
  useCommands({ 'next-pane': () => toPane(1), 'pane-before': () => toPane(-1) })
}

function toPane(step: 1 | -1): void {
  const panes = [...document.querySelectorAll<HTMLElement>('[data-pane]')]
  const here = panes.findIndex((pane) => pane.contains(document.activeElement))
  const from = here === -1 && step === -1 ? 0 : here
  panes[(from + step + panes.length) % panes.length]?.focus()
}
