import { Select } from 'antd'
import { useEffect, useMemo, type ReactNode } from 'react'
import { Waiting } from '../../shared/plain'
import type { Button as ButtonData, Desk, Sitting, SittingSummary, Tuning } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import type { Tuned } from '../../shared/desk'
import { Faults, Nothing } from '../../shared/ui'
import { AskAnew, AskCard, OtherWays } from './AskCard'
import { FitView } from './FitView'
import { FollowUp, HandWay, SoFar } from './lazy'
import { Folded } from './Folded'
import { PressesField, PressesOut, whenOf } from './PressesField'
import { SittingNote } from './SittingNote'
import { useFit, useSitting, useStepping, useTuning, type Wanted } from './queries'
import { say } from './sentences'
import styles from './tune.module.css'
import askingStyles from './asking.module.css'

interface Props {
  desk: Desk
  buttons: ButtonData[]
  /** What is chosen and moved, as the address has it. */
  tuned: Tuned
  onTune: (button: string) => void
  onTuned: (tuned: Partial<Tuned>) => void
}

/** The timing that fits a person, from a few presses. */
export function TuneStep({ desk, buttons, tuned, onTune, onTuned }: Props) {
  const { data: tuning, error } = useTuning(desk.id)
  const pressable = buttons.filter((one) => one.kind !== 'notch')
  const ref = chosenButton(pressable, tuned.button, tuning)
  const button = pressable.find((one) => one.ref === ref)
  if (pressable.length === 0) return <Nothing>{say.noButton}</Nothing>
  const title = (
    <>
      <h2 id="tune-title">
        {say.title}
        <span className="seen-by-readers-only"> {desk.name}</span>
      </h2>
      <label className={styles.inline}>
        {say.whichButton}
        <Select
          className={styles.chosen ?? ''}
          showSearch
          optionFilterProp="label"
          value={ref ?? null}
          onChange={(next: string | null) => next && onTune(next)}
          options={pressable.map((one) => ({ value: one.ref, label: one.full_name }))}
        />
      </label>
    </>
  )
  return (
    <section aria-labelledby="tune-title" className={styles.tune}>
      {error && <p role="alert">{error.message}</p>}
      {!(tuning && button) && <div className={styles.bar}>{title}</div>}
      {!tuning && !error && <Waiting />}
      {tuning && button && (
        <OfButton
          key={button.ref}
          title={title}
          desk={desk}
          tuning={tuning}
          button={button}
          buttons={pressable}
          tuned={tuned}
          onTuned={onTuned}
        />
      )}
    </section>
  )
}

/** The one in the address; else the one that is asked for, was asked for last, or the first. */
function chosenButton(buttons: ButtonData[], tuned: string | undefined, tuning: Tuning | undefined) {
  const there = (ref: string | undefined) => buttons.find((one) => one.ref === ref)?.ref
  return there(tuned) ?? there(tuning?.open?.button) ?? there(tuning?.sittings[0]?.button) ?? buttons[0]?.ref
}

interface OfButtonProps {
  /** Stands before what is chosen here. */
  title: ReactNode
  desk: Desk
  tuning: Tuning
  button: ButtonData
  /** All of the client’s that can be pressed. */
  buttons: ButtonData[]
  tuned: Tuned
  onTuned: (tuned: Partial<Tuned>) => void
}

function OfButton({ title, desk, tuning, button, buttons, tuned, onTuned }: OfButtonProps) {
  const mayChange = useMayChange()
  const { own, others } = useSittings(tuning, button, buttons)
  const open = tuning.open?.button === button.ref ? tuning.open : undefined
  const price = tuned.price ?? tuning.price
  const taken = takenOf(own, others, open, tuned.presses)
  const sittings = taken.map((one) => one.id)
  const counted = taken.reduce((sum, one) => sum + one.counted, 0)
  const asOwn = taken.some((one) => one.button !== button.ref)
  // While it is asked, after every ten; then of all.
  const upTo = open ? Math.floor(counted / 10) * 10 : counted
  const of = open ? String(upTo) : taken.map((one) => one.stamp).join(' ')
  const wanted: Wanted | undefined =
    upTo > 0
      ? { button: button.ref, sittings, price, fixed: tuned.fixed, beside: !tuned.alone, asOwn, of }
      : undefined
  const known = tuning.fits.find((one) => one.button === button.ref && one.state === 'done')?.id
  const { fit, shown, own: isOwn, error } = useFit(desk.id, wanted, mayChange, known)
  const only = taken.length === 1 && !asOwn ? taken[0] : undefined
  const finger = tuning.sittings.find(
    (one) => one.button === button.ref && one.whose === 'specialist' && one.counted > 0,
  )
  const openNow = open?.id
  // What is found stands at the top; one may have gone down to what is asked.
  useEffect(() => {
    if (openNow) document.getElementById('tune-title')?.scrollIntoView({ block: 'nearest' })
  }, [openNow])
  const asking = {
    desk,
    button,
    offered: tuning.buttons.find((one) => one.ref === button.ref)?.offered ?? ['tap' as const],
    last: tuning.sittings.find((one) => one.button === button.ref),
  }
  return (
    <>
      <div className={styles.bar}>
        {title}
        {(own.length > 0 || (mayChange && others.length > 0)) && !open && (
          <PressesField
            own={own}
            others={mayChange ? others : []}
            nameOf={(ref) => buttons.find((one) => one.ref === ref)?.full_name ?? ref}
            chosen={sittings}
            onChoose={(presses) => onTuned({ presses })}
          />
        )}
        {!open && own.length > 0 && <AskAnew {...asking} />}
      </div>
      {!open && own.length === 0 && <AskCard {...asking} />}
      {open?.way === 'by_hand' && <HandWay sitting={open} />}
      {open?.worn && <p className={askingStyles.told}>{open.worn.words}</p>}
      {!open && finger && <Over sitting={finger.id} />}
      {!open && only?.way === 'by_hand' && <Over sitting={only.id} />}
      {own.length > 0 && error && <p role="alert">{error.message}</p>}
      {(wanted ?? known) && (
        <FitView
          client={desk.id}
          fit={fit}
          shown={shown}
          stale={!isOwn}
          tuned={tuned}
          onTuned={onTuned}
          prices={tuning.prices}
          price={price}
        />
      )}
      {open && <OpenSitting client={desk.id} sitting={open} />}
      {!open && own.length > 0 && (
        <Folded title={say.ofThesePresses}>
          {mayChange && only && <NoteOf client={desk.id} sitting={only} />}
          <PressesOut client={desk.id} button={button.ref} own={own} chosen={sittings} />
          <OtherWays {...asking} />
        </Folded>
      )}
      {own.length > 1 && !open && <FollowUp client={desk.id} button={button.ref} sittings={own} />}
    </>
  )
}

/** Of those that were chosen what is there still; while somebody is asked, what they press now; else the last. */
function takenOf(
  own: SittingSummary[],
  others: SittingSummary[],
  open: Sitting | undefined,
  chosen: string[],
): SittingSummary[] {
  const there = [...own, ...others]
  if (open) return there.filter((one) => one.id === open.id)
  const found = there.filter((one) => chosen.includes(one.id))
  return found.length > 0 ? found : own.slice(0, 1)
}

/** What a sitting said that is over. */
function Over({ sitting }: { sitting: string }) {
  const { data } = useSitting(sitting)
  if (!data) return null
  return (
    <>
      {data.worn && (
        <p className={askingStyles.told}>
          {whenOf(data.began_at)}: {data.worn.words}
        </p>
      )}
      <HandWay sitting={data} />
    </>
  )
}

function NoteOf({ client, sitting }: { client: string; sitting: SittingSummary }) {
  const { step, refused } = useStepping(client, sitting.id)
  return (
    <>
      <SittingNote key={sitting.id} note={sitting.note} onStep={(made) => void step(made)} />
      <Faults refused={refused} />
    </>
  )
}

function OpenSitting({ client, sitting }: { client: string; sitting: Sitting }) {
  const { step, refused } = useStepping(client, sitting.id)
  return (
    <>
      <SoFar sitting={sitting} onStep={(made) => void step(made)} />
      <Faults refused={refused} />
    </>
  )
}

/** The client’s own sittings with something in them, the newest first: with this button, and with others of its kind. */
function useSittings(tuning: Tuning, { ref, kind }: ButtonData, buttons: ButtonData[]) {
  return useMemo(() => {
    const all = tuning.sittings
      .map((one) => (one.id === tuning.open?.id ? { ...one, counted: tuning.open.counted } : one))
      .filter((one) => one.whose === 'client' && one.counted > 0)
    const alike = buttons.filter((one) => one.kind === kind && one.ref !== ref).map((one) => one.ref)
    return {
      own: all.filter((one) => one.button === ref),
      others: all.filter((one) => alike.includes(one.button)),
    }
  }, [tuning, ref, kind, buttons])
}
