import { Button } from 'antd'
import { useEffect, useRef } from 'react'
import type { Button as ButtonData, ButtonFacts, Desk, DeviceFacts } from '../../shared/api'
import { listenerName } from '../../shared/hearing'
import { useBench } from '../bench'
import { FoundCard } from './FoundCard'
import styles from './find.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  devices: DeviceFacts[]
  onAssign: (button: ButtonData) => void
  onCorrect: (button: ButtonFacts) => void
}

/** "Press the button": everything that is heard, here and on joined listeners, and which button it is. */
export function FindView({ desk, devices, onAssign, onCorrect }: Props) {
  const { mode, found, elsewhere, find, stop, loading } = useBench(
    'mode',
    'found',
    'elsewhere',
    'find',
    'stop',
    'loading',
  )
  const finding = mode.kind === 'finding'
  const [latest, ...earlier] = found
  const patch = useRef<HTMLDivElement>(null)
  // Otherwise Enter and Space would work the button that the focus stayed on.
  useEffect(() => {
    if (finding) patch.current?.focus()
  }, [finding])
  return (
    <div className={styles.find}>
      <div ref={patch} className={styles.patch} data-hears-primary data-finding={finding} tabIndex={-1}>
        {finding ? (
          <>
            <strong>{say.pressButton}</strong>
            <span>{say.keysGamepadsFurtherMouse}</span>
          </>
        ) : (
          <span>{say.kippenListensEverythingThis(desk.name)}</span>
        )}
      </div>
      <div data-never-heard>
        {finding ? (
          <Button onClick={stop}>{say.stopEscEsc}</Button>
        ) : (
          <Button type="primary" disabled={loading} onClick={find}>
            {say.listenEverything}
          </Button>
        )}
      </div>
      {latest && (
        <FoundCard
          key={latest.source}
          desk={desk}
          devices={devices}
          source={latest.source}
          down={latest.down}
          level={latest.level}
          kind={latest.kind}
          large
          onAssign={onAssign}
          onCorrect={onCorrect}
        />
      )}
      {elsewhere.map((stream) => {
        const [heard] = stream.heard
        return (
          heard && (
            <section
              key={stream.stream}
              aria-label={say.heard(listenerName(stream.listener))}
              className={styles.elsewhere}
            >
              <h3>{say.heard(listenerName(stream.listener))}</h3>
              <FoundCard
                key={heard.source}
                desk={desk}
                devices={devices}
                source={heard.source}
                down={heard.down}
                level={undefined}
                kind="contact"
                elsewhere={{ listener: stream.listener_id, button: heard.button }}
                large
                onAssign={onAssign}
                onCorrect={onCorrect}
              />
            </section>
          )
        )
      })}
      {earlier.length > 0 && (
        <section aria-labelledby="found-before" className={styles.before}>
          <h3 id="found-before">{say.heardBefore}</h3>
          {earlier.map((one) => (
            <FoundCard
              key={one.source}
              desk={desk}
              devices={devices}
              source={one.source}
              down={one.down}
              level={one.level}
              kind={one.kind}
              large={false}
              onAssign={onAssign}
              onCorrect={onCorrect}
            />
          ))}
        </section>
      )}
    </div>
  )
}
