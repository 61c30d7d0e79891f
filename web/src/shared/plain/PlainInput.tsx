import { useState, type InputHTMLAttributes, type Ref } from 'react'
import { PlainButton } from './PlainButton'
import styles from './plain.module.css'
import { say } from './sentences'

type Props = InputHTMLAttributes<HTMLInputElement> & { ref?: Ref<HTMLInputElement> }

export function PlainInput(props: Props) {
  return <input className={styles.input} {...props} />
}

/** What is typed is not shown, until one wants to see it. */
export function PasswordInput(props: Props) {
  const [seen, setSeen] = useState(false)
  return (
    <span className={styles.password}>
      <PlainInput {...props} type={seen ? 'text' : 'password'} />
      <PlainButton aria-pressed={seen} aria-label={say.showPassword} onClick={() => setSeen(!seen)}>
        {seen ? say.hide : say.show}
      </PlainButton>
    </span>
  )
}
