import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import type { Button as ButtonData } from '../../shared/api'
import { sourceName } from '../../shared/hearing'
import { useBench, type KnownSource } from './benchContext'
import styles from './teaching.module.css'
import { say } from './sentences'

interface Props {
  button: ButtonData
  many: boolean
  known?: KnownSource
}

/** Asks for a press of one button; what else can be done stands in the bench's line. */
export function BindingPad({ button, many, known }: Props) {
  const pad = useRef<HTMLDivElement>(null)
  useEffect(() => pad.current?.focus(), [button, known])
  // Its lane is marked, and comes into sight.
  useEffect(() => {
    const lane = document.querySelector(`[data-button="${CSS.escape(button.ref)}"]`)
    lane?.toggleAttribute('data-asked', true)
    lane?.scrollIntoView({ block: 'nearest' })
    return () => lane?.removeAttribute('data-asked')
  }, [button])
  return (
    <div
      ref={pad}
      tabIndex={-1}
      className={styles.pad}
      data-hears-primary
      aria-label={say.pressWhatShallStand(button.name)}
    >
      <strong>{say.pressWithName(button.name)}</strong>
      {known ? (
        <Known known={known} button={button} />
      ) : (
        <span>
          {many && <>{say.anotherWhatRecognisedKnown} </>}
          {say.leftMouseButtonPen}
        </span>
      )}
    </div>
  )
}

/** What was pressed stands for another button: nothing is bound anew without a word. */
function Known({ known, button }: { known: KnownSource; button: ButtonData }) {
  const { settle } = useBench('settle')
  return (
    <>
      <span>{say.knownAlready(sourceName(known.source), known.button.name)}</span>
      <span className={styles.actions} data-never-heard>
        <Button onClick={() => settle(false)}>{say.letItStand}</Button>
        <Button onClick={() => settle(true)}>{say.standsInstead(button.name)}</Button>
      </span>
    </>
  )
}

/** What can be done in place of pressing. */
export function BindingActions({ left, many }: { left: number; many: boolean }) {
  const { skip, stop } = useBench('skip', 'stop')
  return (
    <>
      {left > 0 && <Button onClick={() => skip()}>{say.skipGo(String(left))}</Button>}
      {left > 0 && <Button onClick={() => skip(true)}>{say.skipDevice}</Button>}
      <Button onClick={stop}>{many ? say.enoughEsc : say.leaveAsWasEsc}</Button>
    </>
  )
}

/** While it listens and a press here would work the page too: the place where such a press counts. */
export function ListeningPad() {
  return (
    <div className={styles.pad} data-hears-primary data-listening-pad>
      <strong>{say.pressHere}</strong>
      <span>{say.onlyHere}</span>
    </div>
  )
}
