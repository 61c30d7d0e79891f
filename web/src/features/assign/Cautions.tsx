import type { ButtonFacts, Gesture } from '../../shared/api'
import { useDevices } from '../../shared/fitting'
import styles from './assign.module.css'

const NAMES: Record<Gesture, string> = {
  tap: 'tap',
  double_tap: 'double-tap',
  triple_tap: 'triple-tap',
  long_press: 'long-press',
  hold: 'hold',
}

/** What is known of a button, from its kind. */
export function useFacts(client: string, button: string): ButtonFacts | undefined {
  return useDevices(client)
    .data?.devices.flatMap((device) => device.buttons)
    .find((one) => one.ref === button)
}

/** What must be known before this gesture of this button gets something to do. */
export function Cautions(props: { client: string; button: string; gesture: Gesture }) {
  const facts = useFacts(props.client, props.button)
  if (!facts) return null
  const claim = facts.claims.find((one) => one.gesture === NAMES[props.gesture])
  const builtin = facts.builtin.find((one) => one.gesture === 'tap')
  const cautions = [
    facts.is === 'fixed' && `This button can’t be given anything: ${facts.why ?? ''}`,
    facts.is === 'needed' && `Needed to get around: ${facts.why ?? ''}`,
    claim && `Taken by ${claim.by}. To free it: ${claim.free_by}.`,
    !facts.held_back && builtin && `“${builtin.words}” can’t be held back: it happens as well.`,
  ].filter((caution) => typeof caution === 'string')
  if (cautions.length === 0) return null
  return (
    <ul className={styles.cautions} aria-label="Before you do">
      {cautions.map((caution) => (
        <li key={caution}>{caution}</li>
      ))}
    </ul>
  )
}
