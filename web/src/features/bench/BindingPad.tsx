import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import type { Button as ButtonData } from '../../shared/api'
import { useBench } from './benchContext'
import styles from './bench.module.css'
import { say } from './sentences'

/** Asks for a press of one button; what else can be done stands in the bench's line. */
export function BindingPad({ button, many }: { button: ButtonData; many: boolean }) {
  const pad = useRef<HTMLDivElement>(null)
  useEffect(() => pad.current?.focus(), [button])
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
      <span>
        {many && say.anotherWhatRecognisedKnown}
        {say.leftMouseButtonPen}
      </span>
    </div>
  )
}

/** What can be done in place of pressing. */
export function BindingActions({ left, many }: { left: number; many: boolean }) {
  const { skip, stop } = useBench()
  return (
    <>
      {left > 0 && <Button onClick={() => skip()}>{say.skipGo(String(left))}</Button>}
      {left > 0 && <Button onClick={() => skip(true)}>{say.skipDevice}</Button>}
      <Button onClick={stop}>{many ? say.enoughEsc : say.leaveAsWasEsc}</Button>
    </>
  )
}
