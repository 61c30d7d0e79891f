import { useEffect, useRef } from 'react'
import type { Stretch } from '../../shared/api'
import type { Live } from '../bench'
import type { StretchScale } from './scale'
import styles from './lanes.module.css'

/** The press that is going on, growing along the scale in real time. */
export function GrowingPress({
  stretch,
  live,
  scale,
}: {
  stretch: Stretch
  live: Live
  scale: StretchScale
}) {
  const bar = useRef<HTMLDivElement>(null)
  const since = stretch === 'held' ? live.downAtMs : live.upAtMs
  const until = stretch === 'held' ? live.upAtMs : live.overAtMs

  useEffect(() => {
    if (since === undefined) return
    let frame = 0
    const draw = () => {
      const ms = (until ?? performance.now()) - since
      if (bar.current) bar.current.style.width = `${String(scale.percent(ms))}%`
      if (until === undefined && ms < scale.maxMs) frame = requestAnimationFrame(draw)
    }
    draw()
    return () => cancelAnimationFrame(frame)
  }, [since, until, scale])

  if (since === undefined) return null
  return <div ref={bar} className={styles.growing} data-going={until === undefined} aria-hidden="true" />
}
