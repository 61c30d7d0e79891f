import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import { useMayChange } from '../../shared/session'
import { useBench } from './benchContext'
import { sourceName } from '../../shared/hearing'
import styles from './bench.module.css'

/** What stands for which button, and the switch that makes Kippen listen. */
export function Bindings({ onSheet }: { onSheet: (sheet: 'join' | 'hand') => void }) {
  const { mode, buttons, bindings, loading, start, stop, bind, unbind } = useBench()
  const mayChange = useMayChange()
  const sourceOf = new Map([...bindings].map(([heard, button]) => [button, heard]))
  if (!mayChange) return <p>You may look. Presses that others make here show on the right.</p>
  if (mode.kind === 'binding') return <BindingPad name={mode.button.name} onCancel={stop} />
  const on = mode.kind === 'on'
  return (
    <>
      <div className={styles.head} data-never-heard>
        <h2>{on ? 'Listening' : 'Bench'}</h2>
        {on && <Button onClick={stop}>Stop (Esc, Esc)</Button>}
        {!on && bindings.size > 0 && (
          <Button type="primary" disabled={loading} onClick={start}>
            Start listening
          </Button>
        )}
        {!on && bindings.size === 0 && <p>bind a button first</p>}
      </div>
      {!on && (
        <div className={styles.others}>
          <Button onClick={() => onSheet('join')}>Their own device</Button>
          <Button onClick={() => onSheet('hand')}>Stand-in hand</Button>
        </div>
      )}
      <ul className={styles.bindings} aria-label="What stands for which button">
        {buttons.map((button) => {
          const source = sourceOf.get(button.ref)
          return (
            <li key={button.ref}>
              <span>{button.name}</span>
              {on && <strong>{source ? sourceName(source) : 'not bound'}</strong>}
              {!on && (
                <Button
                  disabled={loading}
                  onClick={() => bind(button)}
                  aria-label={
                    source
                      ? `${button.name}: ${sourceName(source)} stands for it. Change`
                      : `Bind ${button.name}`
                  }
                >
                  {source ? sourceName(source) : 'Bind'}
                </Button>
              )}
              {!on && source && (
                <Button
                  type="text"
                  aria-label={`${sourceName(source)} no longer stands for ${button.name}`}
                  onClick={() => unbind(button)}
                >
                  <span aria-hidden="true">✕</span>
                </Button>
              )}
            </li>
          )
        })}
      </ul>
    </>
  )
}

function BindingPad({ name, onCancel }: { name: string; onCancel: () => void }) {
  const pad = useRef<HTMLDivElement>(null)
  useEffect(() => pad.current?.focus(), [])
  return (
    <>
      <div
        ref={pad}
        tabIndex={-1}
        className={styles.pad}
        data-hears-primary
        aria-label={`Press what shall stand for ${name}`}
      >
        <strong>Press what shall stand for {name}</strong>
        <span>
          A key, a gamepad button or any mouse button; the left one, a pen or a finger here on this patch.
        </span>
      </div>
      <Button block onClick={onCancel}>
        Leave it as it was (Esc)
      </Button>
    </>
  )
}
