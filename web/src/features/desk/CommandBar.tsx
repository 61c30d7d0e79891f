import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react'
import type { Desk } from '../../shared/api'
import type { CommandId, Move } from '../../shared/desk'
import { useFindable, type Findable } from './findable'
import styles from './desk.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  commands: Partial<Record<CommandId, () => void>>
  go: (move: Move, step?: string) => void
  onClose: () => void
}

/** Every action, device, button, client, step and command by its name. Takes the focus, and gives it back. */
export function CommandBar({ desk, commands, go, onClose }: Props) {
  const [said, setSaid] = useState('')
  const [at, setAt] = useState(0)
  const dialog = useRef<HTMLDialogElement>(null)
  const id = useId()
  const found = useFindable(desk, said, commands, go)
  const chosen = Math.min(at, found.length - 1)
  useEffect(() => {
    if (dialog.current && !dialog.current.open) dialog.current.showModal()
  }, [])
  const run = (one: Findable | undefined) => {
    if (!one) return
    onClose()
    one.run()
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setAt(Math.min(chosen + 1, found.length - 1))
    else if (event.key === 'ArrowUp') setAt(Math.max(chosen - 1, 0))
    else if (event.key === 'Enter') run(found[chosen])
    else return
    event.preventDefault()
  }
  return (
    <dialog
      ref={dialog}
      className={styles.commandBar}
      aria-label={say.findDo}
      onClose={onClose}
      data-never-heard
    >
      <input
        type="text"
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={id}
        aria-activedescendant={found[chosen] ? `${id}-${String(chosen)}` : undefined}
        aria-label={say.whatDoYouLook}
        placeholder={say.buttonActionDeviceClient}
        value={said}
        onChange={(event) => {
          setSaid(event.target.value)
          setAt(0)
        }}
        onKeyDown={onKeyDown}
      />
      <div id={id} className={styles.found} role="listbox" aria-label={say.found}>
        {found.map((one, index) => (
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/interactive-supports-focus -- the field has keys and focus
          <div
            key={one.key}
            id={`${id}-${String(index)}`}
            role="option"
            aria-selected={index === chosen}
            onClick={() => run(one)}
          >
            <span>{one.kind}</span>
            <strong>{one.name}</strong>
            {one.note && <small>{one.note}</small>}
          </div>
        ))}
      </div>
      {found.length === 0 && <p>{say.nothingCalledSo}</p>}
    </dialog>
  )
}
