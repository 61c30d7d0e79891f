import { Button, Select } from 'antd'
import { useEffect, useRef, useState } from 'react'
import type { Button as ButtonData, Desk, Refused, Sitting } from '../../shared/api'
import { BigPrompt, useGoesOn, type Pace } from '../../shared/prompt'
import { Faults, useAnnounce } from '../../shared/ui'
import { BindingActions, BindingPad, useBench, useDown, useHands } from '../bench'
import { HeardBy, useListensToo } from './HeardBy'
import { LastTrial } from './LastTrial'
import { useStepping, type Step } from './queries'
import { say } from './sentences'
import { TouchBars } from './TouchBars'
import { useDone } from './useDone'
import { useFree } from './useFree'
import { useHandAnswers } from './useHandAnswers'
import styles from './tune.module.css'
import askingStyles from './asking.module.css'

const PACE_NAMES: { value: Pace; label: string }[] = [
  { value: 'soon', label: say.soon },
  { value: 'slowly', label: say.slowly },
  { value: 'never', label: say.never },
]

interface Props {
  desk: Desk
  sitting: Sitting
  button: ButtonData | undefined
  onJoin: () => void
}

/** What the client is asked just now, large and calm; beside it what the one who sits with them can do. */
export function PromptPane({ desk, sitting, button, onJoin }: Props) {
  const announce = useAnnounce()
  const [pace, setPace] = useState<Pace>('soon')
  const [hand, setHand] = useState<string>()
  const [handRefused, setHandRefused] = useState<Refused>()
  const { hands } = useHands(desk.id)
  const { mode, bindings } = useBench('mode', 'bindings')
  const down = useDown(button ? [button.ref] : []).length > 0
  const { prompt, heard } = sitting
  const { step: take, refused } = useStepping(desk.id, sitting.id)
  const step = (body: Step) => void take(body)
  const { done, tried } = useDone(take)
  // Somebody said “Next”: what is still on its way of the answer is waited for, not them.
  const [saidNext, setSaidNext] = useState<number>()
  const asked = prompt && {
    number: prompt.number,
    wants: prompt.wants,
    presses: heard.presses,
    down: heard.down || down,
    paused: sitting.paused,
    rows: sitting.rows,
  }
  useGoesOn(
    (mode.kind !== 'binding' && asked) || undefined,
    prompt && saidNext === prompt.number ? 'now' : pace,
    done,
    tried,
  )
  useHandAnswers(desk.id, sitting, hand, done, (refused) => {
    setHand(undefined)
    setHandRefused(refused)
  })
  useListensToo(button)
  const { pane, free } = useFree()
  // What was taught may be pressed at once, wherever the focus would go now that the place to press on is gone.
  const teaching = useRef(false)
  useEffect(() => {
    if (teaching.current && mode.kind !== 'binding') free()
    teaching.current = mode.kind === 'binding'
  }, [mode.kind, free])
  const numberNow = prompt?.number
  useEffect(() => {
    if (numberNow) announce(say.trialKept(String(numberNow)), 'press')
  }, [numberNow, announce])

  return (
    <section
      ref={pane}
      className={askingStyles.pane}
      data-pane
      tabIndex={-1}
      aria-label={say.prompts}
      data-free
    >
      <div className={askingStyles.beside}>
        <p className={askingStyles.nth}>
          <strong>{say.nextPress}</strong>{' '}
          {sitting.counted < sitting.aim
            ? say.ofAbout(String(sitting.counted + 1), String(sitting.aim))
            : String(sitting.counted + 1)}
        </p>
        <p className={styles.quiet}>
          {sitting.counted >= sitting.aim ? say.enoughNow : prompt?.why}{' '}
          {sitting.more && say.more(String(sitting.more.count), moreOf(sitting))}
        </p>
        <div className={styles.row}>
          {prompt && (
            <>
              <Button onClick={() => step({ do: 'skip', prompt: prompt.number })}>{say.skip}</Button>
              <Button onClick={() => step({ do: 'again' })}>{say.again}</Button>
              <Button onClick={() => step({ do: sitting.paused ? 'go_on' : 'pause' })}>
                {sitting.paused ? say.goOn : say.pause}
              </Button>
              <Button
                type={pace === 'never' ? 'primary' : 'default'}
                onClick={() => {
                  setSaidNext(prompt.number)
                  done(prompt.number, sitting.rows)
                }}
              >
                {say.next}
              </Button>
            </>
          )}
          <Button
            onClick={() => {
              step({ do: 'end' })
              announce(say.enoughSaid)
            }}
          >
            {say.enough}
          </Button>
        </div>
        <p className={styles.quiet}>{say.nothingDone}</p>
        <LastTrial trial={sitting.trials.at(-1)} onStep={step} />
        <Faults refused={refused ?? handRefused} />
      </div>
      <div className={askingStyles.front}>
        {mode.kind === 'binding' ? (
          <div className={askingStyles.teach}>
            <BindingPad button={mode.button} many={mode.many} known={mode.known} />
            <div className={styles.row}>
              <BindingActions left={mode.rest.length} many={mode.many} />
            </div>
          </div>
        ) : (
          prompt && (
            <div data-hears-primary>
              <BigPrompt
                number={prompt.number}
                intended={prompt.intended}
                words={prompt.words}
                wants={prompt.wants}
                presses={heard.presses}
                down={heard.down || down}
                paused={sitting.paused}
              />
            </div>
          )
        )}
        <div className={styles.row}>
          <p>
            {say.heardSoFar} <strong>{heard.words}</strong>
          </p>
          <TouchBars held={heard.held} apart={heard.apart} />
          <label className={styles.inline}>
            {say.goesOn}
            <Select
              value={pace}
              onChange={(next) => {
                setPace(next)
                free()
              }}
              options={PACE_NAMES}
            />
          </label>
          <HeardBy
            button={button}
            bound={[...bindings.values()].includes(button?.ref ?? '')}
            onJoin={onJoin}
          />
          {hands.length > 0 && (
            <label className={styles.inline}>
              {say.standInHand}
              <Select
                value={hand ?? ''}
                onChange={(next) => {
                  setHand(next || undefined)
                  free()
                }}
                popupMatchSelectWidth={false}
                options={[
                  { value: '', label: say.noHand },
                  ...hands.map((one) => ({ value: one.id, label: say.handAnswers(one.name) })),
                ]}
              />
            </label>
          )}
        </div>
      </div>
    </section>
  )
}

const moreOf = (sitting: Sitting) =>
  sitting.trials.find((one) => one.intended === sitting.more?.gesture)?.words ?? sitting.more?.gesture ?? ''
