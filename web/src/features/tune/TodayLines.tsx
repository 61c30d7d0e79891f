import type { FitSetting, TimingValues } from '../../shared/api'
import type { StretchScale } from '../lanes'
import { say } from './sentences'
import styles from './picture.module.css'

/** Words take up so much of the picture. */
const WORDS_PERCENT = 22

interface Props {
  settings: FitSetting[]
  scale: StretchScale
  timing: TimingValues
  height: number
}

/** Where today’s boundaries lie, as far as they are others; no line runs through their words. */
export function TodayLines({ settings, scale, timing, height }: Props) {
  const lines = settings.map((one) => scale.percent(Number(timing[one.name] ?? one.value)))
  return settings
    .filter((one) => one.today > 0 && one.today !== timing[one.name])
    .map((one) => {
      const at = scale.percent(one.today)
      const crossed = at > 100 - WORDS_PERCENT || lines.some((line) => line > at && line < at + WORDS_PERCENT)
      return (
        <div
          key={one.name}
          className={styles.today}
          data-before={crossed}
          style={{ insetInlineStart: `${String(at)}%`, height }}
        >
          <small>{say.todayAt(String(one.today))}</small>
        </div>
      )
    })
}
