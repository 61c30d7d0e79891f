import type { Checked } from '../../shared/api'
import { OF_PEOPLE } from '../../shared/text'
import { say } from './sentences'
import styles from './check.module.css'

const DAY = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium' })

const WAS = { worse: say.wasWorse, changed: say.wasChanged, crossed: say.wasCrossed }

/** Who knows of a finding and wants it so, or why that holds no more. */
export function KnownBy({ finding: { known, again } }: { finding: Checked }) {
  const one = known ?? again
  if (!one) return null
  const told = [
    one.by ?? say.somebody,
    one.at ? DAY.format(new Date(one.at)) : say.someTime,
    one.why,
  ] as const
  return (
    <small className={styles.knownBy}>{again ? WAS[again.because](...told) : say.knownBy(...told)}</small>
  )
}
