import { Spin } from 'antd'
import { useEffect, useMemo, useState } from 'react'
import type { Button as ButtonData, Desk, Sitting, SittingSummary, Tuning } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { ButtonField, Faults, Nothing } from '../../shared/ui'
import { AskCard } from './AskCard'
import { FitView } from './FitView'
import { FollowUp } from './FollowUp'
import { HandWay } from './HandWay'
import { PressesField, whenOf } from './PressesField'
import { PriceSlider } from './PriceSlider'
import { SittingNote } from './SittingNote'
import { SoFar } from './SoFar'
import { useFit, useSitting, useStepping, useTuning, type Wanted } from './queries'
import { say } from './sentences'
import styles from './tune.module.css'

interface Props {
  desk: Desk
  buttons: ButtonData[]
  /** Whose timing is tuned, as the address has it. */
  tuned: string | undefined
  onTune: (button: string) => void
}

/** The timing that fits a person, from a few presses. */
export function TuneStep({ desk, buttons, tuned, onTune }: Props) {
  const { data: tuning, error } = useTuning(desk.id)
  const pressable = buttons.filter((one) => one.kind !== 'notch')
  const ref = chosenButton(pressable, tuned, tuning)
  const button = pressable.find((one) => one.ref === ref)
  if (pressable.length === 0) return <Nothing>{say.noButton}</Nothing>
  return (
    <section aria-labelledby="tune-title" className={styles.tune}>
      <div className={styles.head}>
        <h2 id="tune-title">{say.title(desk.name)}</h2>
        <div className={styles.whose}>
          <ButtonField
            label={say.whichButton}
            buttons={pressable}
            value={ref}
            onChange={(next) => next && onTune(next)}
          />
        </div>
      </div>
      {error && <p role="alert">{error.message}</p>}
      {!tuning && !error && <Spin />}
      {tuning && button && (
        <OfButton key={button.ref} desk={desk} tuning={tuning} button={button} buttons={pressable} />
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
  desk: Desk
  tuning: Tuning
  button: ButtonData
  /** All of the client’s that can be pressed. */
  buttons: ButtonData[]
}

function OfButton({ desk, tuning, button, buttons }: OfButtonProps) {
  const mayChange = useMayChange()
  const { own, others } = useSittings(tuning, button, buttons)
  const open = tuning.open?.button === button.ref ? tuning.open : undefined
  const [chosen, setChosen] = useState<string[]>()
  const [price, setPrice] = useState(tuning.price)
  const [fixed, setFixed] = useState<Wanted['fixed']>({})
  const [beside, setBeside] = useState(true)
  // What was chosen may have gone; while somebody is asked, it is what they press now.
  const ids = open ? [open.id] : (chosen ?? own.slice(0, 1).map((one) => one.id))
  const taken = [...own, ...others].filter((one) => ids.includes(one.id))
  const sittings = taken.map((one) => one.id)
  const counted = taken.reduce((sum, one) => sum + one.counted, 0)
  const stamps = taken.map((one) => one.stamp).join(' ')
  const asOwn = taken.some((one) => one.button !== button.ref)
  // While it is asked, after every ten; then of all.
  const upTo = open ? Math.floor(counted / 10) * 10 : counted
  const wanted: Wanted | undefined =
    upTo > 0
      ? { button: button.ref, sittings, price, fixed, beside, asOwn, of: open ? String(upTo) : stamps }
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
  const offered = tuning.buttons.find((one) => one.ref === button.ref)?.offered ?? ['tap']
  const card = (
    <AskCard
      desk={desk}
      button={button}
      offered={offered}
      last={tuning.sittings.find((one) => one.button === button.ref)}
      first={own.length === 0}
    />
  )
  return (
    <>
      <div className={styles.bar}>
        {(own.length > 0 || (mayChange && others.length > 0)) && !open && (
          <PressesField
            client={desk.id}
            button={button.ref}
            own={own}
            others={mayChange ? others : []}
            nameOf={(ref) => buttons.find((one) => one.ref === ref)?.full_name ?? ref}
            chosen={sittings}
            onChoose={setChosen}
          />
        )}
        {mayChange && !open && only && <NoteOf client={desk.id} sitting={only} />}
        {counted > 0 && <PriceSlider prices={tuning.prices} price={price} onPrice={setPrice} />}
      </div>
      {!open && own.length === 0 && card}
      {open?.way === 'by_hand' && <HandWay sitting={open} />}
      {open?.worn && <p className={styles.told}>{open.worn.words}</p>}
      {!open && finger && <Over sitting={finger.id} />}
      {!open && only?.way === 'by_hand' && <Over sitting={only.id} />}
      {own.length > 0 && error && <p role="alert">{error.message}</p>}
      {(wanted ?? known) && (
        <FitView
          fit={fit}
          shown={shown}
          stale={!isOwn}
          fixed={fixed}
          onFixed={setFixed}
          beside={beside}
          onBeside={setBeside}
        />
      )}
      {!open && own.length > 0 && card}
      {open && <OpenSitting client={desk.id} sitting={open} />}
      {own.length > 1 && !open && <FollowUp client={desk.id} button={button.ref} sittings={own} />}
    </>
  )
}

/** What a sitting said that is over. */
function Over({ sitting }: { sitting: string }) {
  const { data } = useSitting(sitting)
  if (!data) return null
  return (
    <>
      {data.worn && (
        <p className={styles.told}>
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
