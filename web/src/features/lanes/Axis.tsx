import type { Ref } from 'react'
import type { Stretch } from '../../shared/api'
import { GestureMark } from '../../shared/ui'
import type { Scales, StretchScale } from './scale'
import type { StripWidths } from './useStripWidths'
import axisStyles from './axis.module.css'
import boundaryStyles from './boundary.module.css'
import { say } from './sentences'

const TITLES: Record<Stretch, string> = { held: say.heldForMs, apart: say.thenLetGoFor }

/** So much room a figure needs beside the next. */
const FIGURE_PX = 48

/** As many round figures as have room: each needs as much free beside it as it is wide. */
const figures = (scale: StretchScale, width: number | undefined): number[] =>
  width === undefined ? [] : scale.ticks(Math.max(1, Math.floor(width / FIGURE_PX / 2)))

/** The scale that all lanes share, in milliseconds, and what the shapes of gestures stand for. */
export function Axis(props: { scales: Scales; widths: StripWidths | undefined; ref?: Ref<HTMLDivElement> }) {
  const { scales, widths, ref } = props
  return (
    <div className={axisStyles.axis} aria-hidden="true" ref={ref}>
      <span />
      {(['held', 'apart'] as const).map((stretch) => (
        <div
          key={stretch}
          className={stretch === 'held' ? boundaryStyles.axisHeld : boundaryStyles.axisApart}
          data-stretch={stretch}
        >
          <p className={axisStyles.axisTitle}>
            <strong>{TITLES[stretch]}</strong>
            {stretch === 'held' ? (
              <span>
                <GestureMark gesture="tap" /> {say.tap} <GestureMark gesture="long_press" /> {say.longPress}
              </span>
            ) : (
              <span>
                <GestureMark gesture="double_tap" /> {say.doubleTap}
              </span>
            )}
          </p>
          <div className={axisStyles.ticks}>
            {figures(scales[stretch], widths?.[stretch]).map((ms) => (
              <span key={ms} style={{ insetInlineStart: `${String(scales[stretch].percent(ms))}%` }}>
                {ms}
              </span>
            ))}
          </div>
        </div>
      ))}
    </div>
  )
}
