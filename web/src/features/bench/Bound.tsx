import { Button } from 'antd'
import { useMayChange } from '../../shared/session'
import { sourceName } from '../../shared/hearing'
import { useBench } from './benchContext'
import styles from './bench.module.css'
import teachingStyles from './teaching.module.css'
import { say } from './sentences'

/** What stands for which button: only what does. */
export function Bound() {
  const { mode, buttons, bindings, loading, bind, unbind } = useBench(
    'mode',
    'buttons',
    'bindings',
    'loading',
    'bind',
    'unbind',
  )
  const mayChange = useMayChange()
  const on = mode.kind === 'on'
  const known = [...bindings].flatMap(([source, ref]) => {
    const button = buttons.find((one) => one.ref === ref)
    return button ? [{ source, button }] : []
  })
  if (known.length === 0) return <p className={styles.quiet}>{say.whatStandsForWhich}</p>
  return (
    <ul className={teachingStyles.bindings} aria-label={say.whatStandsForWhichButton}>
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
                aria-label={say.standsForChange(button.name, sourceName(source))}
              >
                {sourceName(source)}
              </Button>
              <Button
                type="text"
                aria-label={say.noLongerStandsFor(sourceName(source), button.name)}
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
