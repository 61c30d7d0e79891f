import { Button } from 'antd'
import { useMayChange } from '../../shared/session'
import { GestureMark } from '../../shared/ui'
import type { LaneGesture } from '../../shared/api'
import { BindingActions } from './BindingPad'
import type { BenchSheet } from './Bench'
import { useBench, useHearsHere } from './benchContext'
import { Pending } from './Pending'
import { tileWords } from './tiles'
import styles from './bench.module.css'
import { say } from './sentences'

interface Props {
  onSheet: (sheet: BenchSheet) => void
  open: boolean
  onOpen: () => void
  /** Is the screen of the stand-in hosts shown? */
  screen: boolean
  onScreen: () => void
}

/** The one line of the bench: does it listen, and what is pressed just now. */
export function BenchBar({ onSheet, open, onOpen, screen, onScreen }: Props) {
  const { mode, buttons, bindings, loading, trouble, start, stop, bind } = useBench(
    'mode',
    'buttons',
    'bindings',
    'loading',
    'trouble',
    'start',
    'stop',
    'bind',
  )
  const mayChange = useMayChange()
  const bound = new Set(bindings.values())
  const on = mode.kind === 'on'
  const hearsHere = useHearsHere()
  const toBind = buttons.filter((button) => !button.off && !bound.has(button.ref))
  return (
    <div className={styles.bar} data-never-heard>
      <h2>{say.bench}</h2>
      {mayChange && (
        <>
          {on && (
            <Button type="primary" onClick={stop}>
              <span aria-hidden="true">■</span> {say.listeningStopEscEsc}
            </Button>
          )}
          {!on && mode.kind !== 'binding' && bindings.size > 0 && (
            <Button type="primary" disabled={loading} onClick={start}>
              {say.startListening}
            </Button>
          )}
          {!on && mode.kind !== 'binding' && (toBind.length > 0 || bindings.size === 0) && (
            <Button
              type={bindings.size === 0 ? 'primary' : 'default'}
              disabled={loading || toBind.length === 0}
              onClick={() => bind(toBind)}
            >
              {say.teachButtons}
            </Button>
          )}
        </>
      )}
      {mode.kind === 'binding' && <BindingActions left={mode.rest.length} many={mode.many} />}
      <div className={styles.now} data-hears-primary={hearsHere || undefined}>
        {trouble ? <p role="alert">{trouble}</p> : <Now />}
      </div>
      {mayChange && mode.kind === 'off' && (
        <>
          <Button onClick={() => onSheet('join')}>{say.theirOwnDevice}</Button>
          <Button onClick={() => onSheet('hand')}>{say.standHand}</Button>
        </>
      )}
      <Button onClick={() => onSheet('answers')}>{say.whatWouldItDo}</Button>
      <Button aria-pressed={screen} onClick={onScreen}>
        {say.theirScreen}
      </Button>
      <Button aria-expanded={open} onClick={onOpen}>
        {open ? say.smallerBench : say.largerBench}
      </Button>
    </div>
  )
}

/** What is pressed just now, or what was last. */
function Now() {
  const { tiles, waiting, mode, bindings } = useBench('tiles', 'waiting', 'mode', 'bindings')
  const hearsHere = useHearsHere()
  const mayChange = useMayChange()
  const newest = tiles[0]?.tile
  const main = newest?.results.find((result) => result.phase !== 'end')
  return (
    <>
      <Pending />
      {waiting.length === 0 && newest && (
        <p>
          <strong>{newest.button_name}:</strong>{' '}
          {main?.gesture && <GestureMark gesture={main.gesture as LaneGesture} />} {tileWords(newest)}
        </p>
      )}
      {waiting.length === 0 && !newest && (
        <p className={styles.quiet}>
          {!mayChange
            ? say.youMayLookPresses
            : mode.kind === 'on'
              ? hearsHere
                ? say.pressHere
                : say.press
              : bindings.size === 0
                ? say.pressEachButtonOnce
                : say.someKnown(bindings.size)}
        </p>
      )}
    </>
  )
}
