import { Children, isValidElement, type ReactNode } from 'react'
import styles from './followup.module.css'

interface Props {
  title: string
  /** What is said where there is nothing. */
  none: string
  wide?: boolean
  children: ReactNode
}

/** One part of the page: a heading and its lines; what is folded below them is none. */
export function Part({ title, none, wide = false, children }: Props) {
  const all = Children.toArray(children)
  const below = all.filter(
    (one) => isValidElement(one) && typeof one.type === 'string' && one.type !== 'span',
  )
  const lines = all.filter((one) => !below.includes(one))
  return (
    <section className={styles.part} data-wide={wide} aria-label={title}>
      <h3>{title}</h3>
      {lines.length === 0 ? (
        <p className={styles.none}>{none}</p>
      ) : (
        <ul>
          {lines.map((line, index) => (
            <li key={index}>{line}</li>
          ))}
        </ul>
      )}
      {below}
    </section>
  )
}
