import { useEffect, useId, useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import type { Desk } from '../../shared/api'
import type { Move } from '../../shared/desk'
import { useMayChange } from '../../shared/session'
import { mayLeave } from '../../shared/ui'
import { buttonsFor, useFindable, type Findable } from './findable'
import styles from './commandBar.module.css'
import { say } from './sentences'

interface Props {
  desk: Desk
  commands: Readonly<Record<string, () => void>>
  go: (move: Move, step?: string) => void
  onClose: () => void
}

/** Whatever there is at a desk, by what people say. Takes the focus, and gives it back. */
export function CommandBar({ desk, commands, go, onClose }: Props) {
  const navigate = useNavigate()
  const mayChange = useMayChange()
  const [said, setSaid] = useState('')
  const [at, setAt] = useState(0)
  // A setting of which it was not said yet whose.
  const [setting, setSetting] = useState<{ setting: string; name: string }>()
  const dialog = useRef<HTMLDialogElement>(null)
  const id = useId()
  const does = useMemo(() => new Set(Object.keys(commands)), [commands])
  const all = useFindable(desk, setting ? '' : said, does)
  const found = setting ? buttonsFor(desk, setting.setting, said, mayChange) : all.found
  const chosen = Math.min(at, found.length - 1)
  useEffect(() => {
    if (dialog.current && !dialog.current.open) dialog.current.showModal()
  }, [])
  useEffect(() => {
    document.getElementById(`${id}-${String(chosen)}`)?.scrollIntoView({ block: 'nearest' })
  }, [id, chosen])
  const ask = (next: typeof setting) => {
    setSetting(next)
    setSaid('')
    setAt(0)
  }
  const run = (one: Findable | undefined) => {
    if (!one) return
    const { leads } = one
    if (leads.to === 'which-button') {
      const [first, ...more] = buttonsFor(desk, leads.setting, '', mayChange)
      if (first && more.length === 0) run(first)
      else ask(leads)
      return
    }
    // It gives the focus back before anything else takes it: what opens now returns it to there.
    dialog.current?.close()
    onClose()
    if (leads.to === 'command') commands[leads.id]?.()
    else if (leads.to === 'page') leave(() => void navigate(leads.path))
    else for (const move of leads.moves) go(move, leads.step)
  }
  const leave = (there: () => void) => {
    if (mayLeave(there)) there()
  }
  const enter = () => {
    // Who types fast has said more than what is shown was asked by.
    if (setting || all.settled) run(found[chosen])
    else
      void all.soon().then(
        ([first]) => run(first),
        () => undefined,
      )
  }
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setAt(Math.min(chosen + 1, found.length - 1))
    else if (event.key === 'ArrowUp') setAt(Math.max(chosen - 1, 0))
    else if (event.key === 'Enter') enter()
    else if (event.key === 'Backspace' && setting && said === '') ask(undefined)
    else return
    event.preventDefault()
  }
  const label = setting ? say.ofWhichButton(setting.name) : say.whatDoYouLook
  return (
    <dialog
      ref={dialog}
      className={styles.commandBar}
      aria-label={say.findDo}
      onClose={onClose}
      data-never-heard
    >
      {setting && <p>{label}</p>}
      <input
        type="text"
        role="combobox"
        aria-expanded={found.length > 0}
        aria-controls={id}
        aria-activedescendant={found[chosen] ? `${id}-${String(chosen)}` : undefined}
        aria-label={label}
        placeholder={setting ? '' : say.buttonActionDeviceClient}
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
            <p>
              <strong>{one.name}</strong> {one.of && <i>{one.of}</i>}{' '}
              {one.note && <small data-sentence={one.sentence}>{one.note}</small>}
            </p>
          </div>
        ))}
      </div>
      <p role="status">{!all.error && found.length === 0 && (setting || all.settled) && say.nothingFits}</p>
      {all.error && <p role="alert">{all.error.message}</p>}
    </dialog>
  )
}
