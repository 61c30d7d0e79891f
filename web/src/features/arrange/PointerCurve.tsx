import { usePointer, type PointerSettings } from '../../shared/fitting'
import { linear } from '../../shared/scale'
import { say } from './sentences'
import styles from './arrange.module.css'

const WIDTH = 290
const HEIGHT = 120
const PAD = { left: 40, bottom: 22 }

/** To a tenth. */
const seconds = (ms: number) => say.seconds(Math.round(ms / 100) / 10)

/** How far the pointer comes with a held button, as a line and in words. */
export function PointerCurve(props: { client: string; host: string; settings: PointerSettings }) {
  const { data } = usePointer(props.client, props.host, props.settings)
  if (!data) return null
  const { curve, width_px: width, across_ms: across, late_ms: late, runs_on: runsOn } = data
  const last = curve.at(-1)?.[0] ?? 0
  const x = linear([0, Math.max(last, 1)], [PAD.left, WIDTH - 6])
  const y = linear([0, width], [HEIGHT - PAD.bottom, 6])
  const line = curve.map(([ms = 0, px = 0]) => `${x(ms).toFixed(1)},${y(Math.min(px, width)).toFixed(1)}`)
  const words = [
    across === null ? say.neverAcross : say.across(seconds(across), String(width)),
    ...runsOn.map((one) => say.runsOn(seconds(one.after_ms), String(late), String(one.px))),
  ]
  return (
    <figure className={styles.curve}>
      <svg viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`} role="img" aria-label={say.curve}>
        <polyline points={line.join(' ')} />
        <text x={PAD.left} y={HEIGHT - 4}>
          0
        </text>
        <text x={WIDTH - 6} y={HEIGHT - 4} textAnchor="end">
          {seconds(last)}
        </text>
        <text x={PAD.left - 4} y={16} textAnchor="end">
          {width}
        </text>
        <text x={PAD.left - 4} y={HEIGHT - PAD.bottom} textAnchor="end">
          {say.px(0)}
        </text>
      </svg>
      <figcaption>
        {words.map((one) => (
          <p key={one}>{one}</p>
        ))}
        <p>{say.generalFigure}</p>
      </figcaption>
    </figure>
  )
}
