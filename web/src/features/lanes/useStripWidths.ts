import { useEffect, useState } from 'react'
import type { Stretch } from '../../shared/api'
import { forgetWidths } from './text'

export type StripWidths = Record<Stretch, number>

/** Where nothing is laid out. */
const NOT_LAID_OUT: StripWidths = { held: 520, apart: 320 }

/**
 * How wide both stretches are drawn; all lanes have the same, so it is measured once, at the scale; undefined until that is
 * drawn: two hundred lanes drawn for nothing would be slow.
 */
export function useStripWidths(): {
  widths: StripWidths | undefined
  ref: (node: HTMLElement | null) => void
} {
  const [node, ref] = useState<HTMLElement | null>(null)
  const [widths, setWidths] = useState<StripWidths>()
  useEffect(() => {
    if (!node) return undefined
    const measure = () => {
      const of = (stretch: Stretch) =>
        Math.floor(node.querySelector(`[data-stretch=${stretch}]`)?.getBoundingClientRect().width ?? 0)
      const next = { held: of('held'), apart: of('apart') }
      setWidths((now) => {
        if (next.held === 0) return now ?? NOT_LAID_OUT
        return now?.held === next.held && now.apart === next.apart ? now : next
      })
    }
    // What is measured before the font is there is wrong.
    const begin = () => {
      forgetWidths()
      measure()
      observer.observe(node)
    }
    const observer = new ResizeObserver(measure)
    if (document.fonts?.status === 'loading') void document.fonts.ready.then(begin)
    else begin()
    return () => observer.disconnect()
  }, [node])
  return { widths, ref }
}
