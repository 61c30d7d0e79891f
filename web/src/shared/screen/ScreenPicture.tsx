import type { CSSProperties } from 'react'
import type { Screen } from '../api'
import { say } from './sentences'
import styles from './screen.module.css'

type Element = Screen['elements'][number]

interface Props {
  screen: Screen
  /** Nothing can be pressed on it. */
  onPress?: ((element: Element) => void) | undefined
  onLine?: ((line: number) => void) | undefined
}

/** The screen of a stand-in host, drawn as it would look there; what stands on it can be pressed. */
export function ScreenPicture({ screen, onPress, onLine }: Props) {
  const [width = 1, height = 1] = screen.size
  const [left = 0, top = 0] = screen.pointer
  // What can be opened stands nowhere on it.
  const drawn = screen.elements.filter((element) => element.kind !== 'start')
  return (
    <div
      className={styles.screen}
      data-system={screen.system}
      style={{
        aspectRatio: `${String(width)} / ${String(height)}`,
        // As large as there is height for, whatever its shape.
        maxWidth: `calc((var(--bench-height, 70vh) - 150px) * ${String(width / height)})`,
      }}
    >
      {drawn.map((element) => (
        <ScreenElement key={element.key} element={element} onPress={onPress} />
      ))}
      {screen.mode && (
        <p className={styles.mode}>
          {screen.mode.name} <small>{say.how[screen.mode.how]}</small>
        </p>
      )}
      {screen.call === 'ringing' && <p className={styles.ringing}>{say.ring}</p>}
      {screen.list && <List list={screen.list} onLine={onLine} />}
      {!screen.locked && (
        <span
          className={styles.pointer}
          style={{ insetBlockStart: `${String(top)}%`, left: `${String(left)}%` }}
          aria-hidden="true"
        />
      )}
    </div>
  )
}

function ScreenElement({ element, onPress }: { element: Element; onPress: Props['onPress'] }) {
  const [left = 0, top = 0, width = 0, height = 0] = element.rect
  const style: CSSProperties = {
    left: `${String(left)}%`,
    top: `${String(top)}%`,
    width: `${String(width)}%`,
    height: `${String(height)}%`,
  }
  const words = (
    <>
      {element.label}
      {element.under && <span className="seen-by-readers-only">, {say.pointerHere}</span>}
    </>
  )
  return onPress && element.kind !== 'locked' ? (
    <button
      type="button"
      className={styles.element}
      data-kind={element.kind}
      data-under={element.under}
      style={style}
      onClick={() => onPress(element)}
    >
      {words}
    </button>
  ) : (
    <p className={styles.element} data-kind={element.kind} data-under={element.under} style={style}>
      {words}
    </p>
  )
}

function List(props: { list: NonNullable<Screen['list']>; onLine: Props['onLine'] }) {
  const { list, onLine } = props
  return (
    <ol className={styles.shortlist} aria-label={say.listOpen(list.name)}>
      {list.lines.map((line, index) => (
        <li key={`${String(index)} ${line}`} data-marked={index === list.marked}>
          {onLine ? (
            <button type="button" onClick={() => onLine(index)}>
              {line}
            </button>
          ) : (
            line
          )}
          {index === list.marked && <span className="seen-by-readers-only"> {say.marked}</span>}
        </li>
      ))}
    </ol>
  )
}
