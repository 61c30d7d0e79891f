import { Select } from 'antd'
import type { FitSetting, SettingName } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { Tick } from '../../shared/ui'
import { NAMES, say, valueWords } from './sentences'
import { Sweep } from './Sweep'
import styles from './tune.module.css'

interface Props {
  settings: FitSetting[]
  chosen: FitSetting
  /** As it is shown: fitted, or moved. */
  value: number | string
  /** How many presses there are. */
  count: number
  onChoose: (setting: SettingName) => void
  held: boolean
  onHold: (value: number | undefined) => void
}

/** One value: what it does, what was seen, how much room there is, what other values would do. */
export function ValuePanel({ settings, chosen, value, count, onChoose, held, onHold }: Props) {
  const mayChange = useMayChange()
  const name = NAMES[chosen.name] ?? chosen.name
  return (
    <section aria-labelledby="value-title" className={styles.panel}>
      <h3 id="value-title">{say.settingOf(name, valueWords(chosen.name, value))}</h3>
      <Select
        aria-label={say.values}
        value={chosen.name}
        onChange={onChoose}
        options={settings.map((one) => ({
          value: one.name,
          label: say.settingOf(NAMES[one.name] ?? one.name, valueWords(one.name, one.value)),
        }))}
      />
      <p>{chosen.words.join(' ')}</p>
      <p className={styles.quiet}>
        {say.todayIs(valueWords(chosen.name, chosen.today))} {say.settableTo(chosen.settable)}
      </p>
      {chosen.sweep.length > 1 ? (
        <Sweep setting={chosen} value={Number(value)} count={count} />
      ) : (
        <p className={styles.quiet}>{say.nothingDepends}</p>
      )}
      {mayChange && !chosen.fixed && (
        <Tick checked={held} onTick={(hold) => onHold(hold ? Number(value) : undefined)}>
          {say.holdIt(valueWords(chosen.name, value))}
        </Tick>
      )}
    </section>
  )
}
