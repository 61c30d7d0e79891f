import type { Fit, FitResult, SettingName, TimingValues } from '../../shared/api'
import type { Tuned } from '../../shared/desk'
import { ApplyBar } from './ApplyBar'
import { ComparedLines } from './ComparedLines'
import { Figure } from './Figure'
import { FitBelow, TrialStory } from './lazy'
import { Going } from './Going'
import { PaysList } from './PaysList'
import { PriceSlider } from './PriceSlider'
import { useJudged } from './queries'
import { TrialLanes } from './TrialLanes'
import { ValuePanel } from './ValuePanel'
import styles from './tune.module.css'

interface Props {
  client: string
  /** The one that is asked for. */
  fit: Fit | undefined
  /** The last that has a result. */
  shown: Fit | undefined
  /** It is the one before, until what was asked for is there. */
  stale: boolean
  tuned: Tuned
  onTuned: (tuned: Partial<Tuned>) => void
  prices: number[]
  price: number
}

/** What was found: what it comes to, beside what it is compared with, and what it costs; to be moved, held, applied. */
export function FitView({ client, fit, shown, ...more }: Props) {
  return (
    <>
      {fit && fit.state !== 'done' && <Going client={client} fit={fit} />}
      {shown?.result && <Found fit={shown} result={shown.result} {...more} />}
    </>
  )
}

interface FoundProps extends Omit<Props, 'client' | 'fit' | 'shown'> {
  fit: Fit
  result: FitResult
}

function Found({ fit, result, stale, tuned, onTuned, prices, price }: FoundProps) {
  const fitted = result.compared.find((one) => one.kind === 'fitted')
  // What was moved belongs to its result: another begins anew.
  const moved = tuned.moved?.fit === fit.id ? tuned.moved.timing : undefined
  const trial = tuned.trial !== undefined && tuned.trial < result.trials.length ? tuned.trial : undefined
  const setting = (tuned.value as SettingName | undefined) ?? firstSetting(result)
  const timing = moved ?? fitted?.timing ?? {}
  const judged = useJudged(fit.id, moved)
  if (!fitted) return null
  const shown = (moved && judged?.judged) || fitted
  const rows = moved && judged ? [...result.compared, judged.judged] : result.compared
  const chosen = result.settings.find((one) => one.name === setting) ?? result.settings[0]
  const names = Object.keys(result.timing)
  const show = (number: number | undefined) => onTuned({ trial: number })
  return (
    <>
      <div className={styles.found}>
        <Figure result={result} stale={stale} />
        <div className={styles.left}>
          <TrialLanes
            fit={fit}
            result={result}
            timing={timing}
            regions={shown.regions}
            state={shown.state}
            moved={moved !== undefined}
            onChoose={(value) => onTuned({ value, trial: undefined })}
            onMove={(name, value) =>
              onTuned({ moved: { fit: fit.id, timing: { ...timing, [name]: value } }, value: name })
            }
            trial={trial}
            onTrial={show}
          />
          <ComparedLines rows={rows} offered={fit.offered} names={names} />
        </div>
        <ApplyBar
          fit={fit}
          result={result}
          moved={moved}
          scope={tuned.scope}
          onScope={(scope) => onTuned({ scope })}
          onBack={() => onTuned({ moved: undefined })}
          disabled={stale}
        />
        <div className={styles.side}>
          <PriceSlider prices={prices} price={price} onPrice={(next) => onTuned({ price: next })} />
          <PaysList pays={moved && judged ? judged.pays : result.pays} />
          {trial !== undefined ? (
            <TrialStory fit={fit.id} number={trial} onClose={() => show(undefined)} />
          ) : (
            chosen && (
              <ValuePanel
                settings={result.settings}
                chosen={chosen}
                value={timing[chosen.name] ?? chosen.value}
                count={result.trials.length}
                onChoose={(value) => onTuned({ value })}
                held={tuned.fixed[chosen.name] !== undefined}
                onHold={(value) => onTuned({ fixed: holding(tuned.fixed, chosen.name, value) })}
              />
            )
          )}
        </div>
      </div>
      <FitBelow
        result={result}
        offered={fit.offered}
        rows={rows}
        timing={timing}
        state={shown.state}
        stale={stale}
        tuned={tuned}
        onTuned={onTuned}
      />
    </>
  )
}

/** With one held at a value, or let go. */
const holding = (fixed: TimingValues, name: string, value: number | undefined): TimingValues =>
  value === undefined
    ? Object.fromEntries(Object.entries(fixed).filter(([other]) => other !== name))
    : { ...fixed, [name]: value }

/** What has changed most against today. */
function firstSetting(result: FitResult): SettingName {
  const byChange = [...result.settings].sort((one, other) => change(other) - change(one))
  return byChange[0]?.name ?? 'long_press_ms'
}

const change = ({ value, today }: { value: number; today: number }) =>
  Math.abs(value - today) / Math.max(1, today)
