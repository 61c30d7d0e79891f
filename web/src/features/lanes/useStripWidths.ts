import { useEffect, useState } from 'react'
import type { Stretch } from '../../shared/api'
import { forgetWidths } from './text'

export type StripWidths = Record<Stretch, number>

/** Where nothing is laid out. */
const NOT_YET: StripWidths = { held: 520, apart: 320 }

/** How wide both stretches are drawn; all lanes have the same, so it is measured once, at the scale. */
export function useStripWidths(): { widths: StripWidths; ref: (node: HTMLElement | null) => void } {
  const [node, ref] = useState<HTMLElement | null>(null)
  const [widths, setWidths] = useState(NOT_YET)
  useEffect(() => {
    if (!node || typeof ResizeObserver === 'undefined') return
    const measure = () => {
      const of = (stretch: Stretch) =>
        Math.floor(node.querySelector(`[data-stretch=${stretch}]`)?.getBoundingClientRect().width ?? 0)
      const next = { held: of('held'), apart: of('apart') }
      if (next.held > 0) setWidths((now) => (now.held === next.held && now.apart === next.apart ? now : next))
    }
    const observer = new ResizeObserver(measure)
    observer.observe(node)
    void document.fonts.ready.then(() => {
      forgetWidths()
      setWidths((now) => ({ ...now }))
    })
    return () => observer.disconnect()
  }, [node])
  return { widths, ref }
}
