import { Button } from 'antd'
import { useMayChange } from '../../shared/session'
import { sourceName } from '../../shared/hearing'
import { useBench } from './benchContext'
import styles from './bench.module.css'

/** What stands for which button: only what does. */
export function Bound() {
  const { mode, buttons, bindings, loading, bind, unbind } = useBench()
  const mayChange = useMayChange()
  const on = mode.kind === 'on'
  const known = [...bindings].flatMap(([source, ref]) => {
    const button = buttons.find((one) => one.ref === ref)
    return button ? [{ source, button }] : []
  })
  if (known.length === 0) return <p className={styles.quiet}>What stands for which button is listed here.</p>
  return (
    <ul className={styles.bindings} aria-label="What stands for which button">
      {known.map(({ source, button }) => (
        <li key={source}>
          <span>{button.name}</span>
          {on || !mayChange ? (
            <strong>{sourceName(source)}</strong>
          ) : (
            <>
              <Button
                disabled={loading}
                onClick={() => bind([button])}
                aria-label={`${button.name}: ${sourceName(source)} stands for it. Change`}
              >
                {sourceName(source)}
              </Button>
              <Button
                type="text"
                aria-label={`${sourceName(source)} no longer stands for ${button.name}`}
                onClick={() => unbind(button)}
              >
                <span aria-hidden="true">✕</span>
              </Button>
            </>
          )}
        </li>
      ))}
    </ul>
  )
}
