import { OF_PEOPLE } from '../../shared/text'
import { Button, Select } from 'antd'
import type { SittingSummary } from '../../shared/api'
import { say } from './sentences'
import styles from './tune.module.css'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})
const TIME = new Intl.DateTimeFormat(OF_PEOPLE, { hour: '2-digit', minute: '2-digit' })

/** When it was: today’s by the hour. */
export function whenOf(at: string): string {
  const date = new Date(at)
  return date.toDateString() === new Date().toDateString()
    ? say.todayTime(TIME.format(date))
    : WHEN.format(date)
}

export const sittingName = (one: SittingSummary) => say.sitting(whenOf(one.began_at), one.counted, one.way)

interface Props {
  own: SittingSummary[]
  /** Of other buttons, which count as this one’s where somebody says so. */
  others: SittingSummary[]
  nameOf: (ref: string) => string
  chosen: string[]
  onChoose: (sittings: string[]) => void
}

/** From which presses it is found. */
export function PressesField({ own, others, nameOf, chosen, onChoose }: Props) {
  const all = own.map((one) => one.id)
  const count = own.reduce((sum, one) => sum + one.counted, 0)
  return (
    <label className={styles.inline}>
      {say.whichPresses}
      <Select
        className={styles.chosen ?? ''}
        value={chosen.length > 1 ? 'all' : chosen[0]}
        placeholder={say.noneOfThis}
        onChange={(next: string) => onChoose(next === 'all' ? all : [next])}
        popupMatchSelectWidth={false}
        options={[
          ...own.map((one) => ({ value: one.id, label: sittingName(one) })),
          ...(own.length > 1 ? [{ value: 'all', label: say.allOfThem(String(count)) }] : []),
          ...(others.length > 0
            ? [
                {
                  label: say.countAsThis,
                  options: others.map((one) => ({
                    value: one.id,
                    label: say.ofButton(nameOf(one.button), sittingName(one)),
                  })),
                },
              ]
            : []),
        ]}
      />
    </label>
  )
}

/** Those presses as a file. */
export function PressesOut(props: {
  client: string
  button: string
  own: SittingSummary[]
  chosen: string[]
}) {
  const { client, button, own, chosen } = props
  if (!own.some((one) => chosen.includes(one.id))) return null
  const file = new URLSearchParams({ button, sittings: chosen.join(',') })
  return (
    <Button href={`/api/clients/${client}/trials?${file.toString()}`} download="trials.json">
      {say.fileOut}
    </Button>
  )
}
