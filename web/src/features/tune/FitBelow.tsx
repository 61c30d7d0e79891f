import type { Compared, FitResult, Offered, TimingValues } from '../../shared/api'
import type { Tuned } from '../../shared/desk'
import { ComparedTable } from './ComparedTable'
import { Confusion } from './Confusion'
import { Folded } from './Folded'
import { HowFound } from './HowFound'
import { Levels } from './Levels'
import { PressTable } from './PressTable'
import { say } from './sentences'

interface Props {
  result: FitResult
  offered: Offered[]
  /** All timings that are compared. */
  rows: Compared[]
  /** That is shown, and what each press comes to under it, a letter each. */
  timing: TimingValues
  state: string
  stale: boolean
  tuned: Tuned
  onTuned: (tuned: Partial<Tuned>) => void
}

/** How it came about, and the tables: below what is decided on. */
export function FitBelow({ result, offered, rows, timing, state, stale, tuned, onTuned }: Props) {
  return (
    <>
      {result.trials.some((one) => one.levels.length > 0) && (
        <Levels result={result} timing={timing} state={state} />
      )}
      <HowFound result={result} stale={stale} alone={tuned.alone} onAlone={(alone) => onTuned({ alone })} />
      <Folded title={say.moreTimings}>
        <ComparedTable rows={rows} offered={offered} names={Object.keys(result.timing)} />
      </Folded>
      <Confusion confusion={result.confusion} />
      <PressTable result={result} state={state} onTrial={(trial) => onTuned({ trial })} />
    </>
  )
}
