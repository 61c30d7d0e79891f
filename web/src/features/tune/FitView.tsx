import { Button } from 'antd'
import { useState } from 'react'
import type { Fit, FitResult, SettingName, TimingValues } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { ApplyBar } from './ApplyBar'
import { ComparedTable } from './ComparedTable'
import { Confusion } from './Confusion'
import { Going } from './Going'
import { Levels } from './Levels'
import { PaysList } from './PaysList'
import { PressTable } from './PressTable'
import { useJudged } from './queries'
import { percent, say } from './sentences'
import { TrialLanes } from './TrialLanes'
import { TrialStory } from './TrialStory'
import { ValuePanel } from './ValuePanel'
import styles from './tune.module.css'

interface Props {
  /** The one that is asked for. */
  fit: Fit | undefined
  /** The last that has a result. */
  shown: Fit | undefined
  /** It is the one before, until what was asked for is there. */
  stale: boolean
  fixed: TimingValues
  onFixed: (fixed: TimingValues) => void
  /** Whether other presses of the same hand help. */
  beside: boolean
  onBeside: (beside: boolean) => void
}

/** What was found: what it comes to, beside what it is compared with, and what it costs; to be moved, held, applied. */
export function FitView({ fit, shown, stale, ...more }: Props) {
  return (
    <>
      {fit && fit.state !== 'done' && <Going fit={fit} />}
      {shown?.result && (
        // What was moved belongs to this result: another begins anew.
        <Found key={shown.id} fit={shown} result={shown.result} stale={stale} {...more} />
      )}
    </>
  )
}

interface FoundProps extends Omit<Props, 'fit' | 'shown'> {
  fit: Fit
  result: FitResult
}

function Found({ fit, result, stale, fixed, onFixed, beside, onBeside }: FoundProps) {
  const mayChange = useMayChange()
  const fitted = result.compared.at(-1)
  const today = result.compared[0]
  const [moved, setMoved] = useState<TimingValues>()
  const [setting, setSetting] = useState<SettingName>(() => firstSetting(result))
  const [trial, setTrial] = useState<number>()
  const timing = moved ?? fitted?.timing ?? {}
  const judged = useJudged(fit.id, moved)
  if (!fitted || !today) return null
  const shown = (moved && judged?.judged) || fitted
  const rows = moved && judged ? [...result.compared, judged.judged] : result.compared
  const chosen = result.settings.find((one) => one.name === setting)
  return (
    <div className={styles.found}>
      <div className={styles.left}>
        {stale && <p className={styles.quiet}>{say.ofBefore}</p>}
        {result.expected.few ? (
          <p className={styles.large}>{say.fewYet(String(result.expected.n))}</p>
        ) : (
          <>
            <p className={styles.large}>
              <strong>{percent(result.expected.right)} %</strong> {say.comeOut}
            </p>
            <p>
              {say.interval(
                percent(result.expected.low),
                percent(result.expected.high),
                String(result.expected.n),
              )}
              {result.in_force ? '.' : `. ${todayWords(today)}.`}
            </p>
          </>
        )}
        <p className={styles.restsOn}>
          {result.rests_on.words}{' '}
          {mayChange && (!beside || result.rests_on.beside > 0) && (
            <Button disabled={stale} onClick={() => onBeside(!beside)}>
              {beside ? say.leaveOut : say.letHelp}
            </Button>
          )}
        </p>
        <TrialLanes
          fit={fit}
          result={result}
          timing={timing}
          state={shown.state}
          moved={moved !== undefined}
          onChoose={(name) => {
            setSetting(name)
            setTrial(undefined)
          }}
          onMove={(name, value) => setMoved({ ...timing, [name]: value })}
          trial={trial}
          onTrial={setTrial}
        />
        {result.trials.some((one) => one.levels.length > 0) && (
          <Levels result={result} timing={timing} state={shown.state} />
        )}
        <ComparedTable
          rows={rows}
          offered={fit.offered}
          names={Object.keys(result.timing)}
          fitted={fitted.name}
        />
        {result.notes.length > 0 && (
          <ul>
            {result.notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
        )}
        <Confusion confusion={result.confusion} />
        <PressTable result={result} state={shown.state} onTrial={setTrial} />
      </div>
      <div className={styles.right}>
        <ApplyBar
          fit={fit}
          result={result}
          moved={moved}
          onBack={() => setMoved(undefined)}
          disabled={stale}
        />
        {trial !== undefined ? (
          <TrialStory fit={fit.id} number={trial} onClose={() => setTrial(undefined)} />
        ) : (
          chosen && (
            <ValuePanel
              settings={result.settings}
              chosen={chosen}
              value={timing[chosen.name] ?? chosen.value}
              count={result.trials.length}
              onChoose={setSetting}
              held={fixed[chosen.name] !== undefined}
              onHold={(value) =>
                onFixed(
                  value === undefined
                    ? Object.fromEntries(Object.entries(fixed).filter(([name]) => name !== chosen.name))
                    : { ...fixed, [chosen.name]: value },
                )
              }
            />
          )
        )}
        <PaysList pays={moved && judged ? judged.pays : result.pays} />
      </div>
    </div>
  )
}

const todayWords = ({ from, right }: FitResult['compared'][number]) =>
  from === 'unseen' ? say.todayComes(percent(right)) : say.todaySeen(percent(right))

/** What has changed most against today. */
function firstSetting(result: FitResult): SettingName {
  const byChange = [...result.settings].sort((one, other) => change(other) - change(one))
  return byChange[0]?.name ?? 'long_press_ms'
}

const change = ({ value, today }: { value: number; today: number }) =>
  Math.abs(value - today) / Math.max(1, today)
