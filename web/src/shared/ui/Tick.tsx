import type { ReactNode } from 'react'
import styles from './menu.module.css'

/** Something that is so, or not. */
export function Tick(props: { checked: boolean; onTick: (checked: boolean) => void; children: ReactNode }) {
  const { checked, onTick, children } = props
  return (
    <label className={styles.tick}>
      <input type="checkbox" checked={checked} onChange={({ target }) => onTick(target.checked)} />
      {children}
    </label>
  )
}
