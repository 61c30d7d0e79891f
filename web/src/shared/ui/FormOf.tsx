import { createContext, type FormEvent, type ReactNode } from 'react'
import type { Refused } from '../api'

/** What was refused of the form around; its fields tell their own part. */
export const RefusedContext = createContext<Refused | undefined>(undefined)

interface Props {
  onSubmit: () => unknown
  refused?: Refused | undefined
  className?: string | undefined
  'aria-label'?: string
  'aria-labelledby'?: string
  children: ReactNode
}

/** A form: Enter in any of its fields sends it, and each fault stands at its field. */
export function FormOf({ onSubmit, refused, children, ...named }: Props) {
  const send = (event: FormEvent) => {
    event.preventDefault()
    // A form in a sheet that is in another form, by React's tree, is its own.
    event.stopPropagation()
    void onSubmit()
  }
  return (
    <RefusedContext.Provider value={refused}>
      <form onSubmit={send} {...named}>
        {children}
      </form>
    </RefusedContext.Provider>
  )
}
