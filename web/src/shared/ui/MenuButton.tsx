import { Button } from 'antd'
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react'
import styles from './menu.module.css'

export interface MenuItem {
  key: string
  label: string
  onChoose: () => void
  disabled?: boolean
}

interface Props {
  /** What stands on the button. */
  children: ReactNode
  /** What the button is called, where that is not what stands on it. */
  label?: string
  items: readonly MenuItem[]
}

/** So far from the button, and from the window’s edge. */
const AWAY_PX = 4

/** Several things that can be done, behind one button. Arrows lead from one to the next, Esc back to the button. */
export function MenuButton({ children, label, items }: Props) {
  const id = useId()
  const menu = useRef<HTMLDivElement>(null)
  const button = useRef<HTMLButtonElement>(null)
  const [open, setOpen] = useState(false)
  const entries = () => [
    ...(menu.current?.querySelectorAll<HTMLElement>('[role=menuitem]:not([disabled])') ?? []),
  ]
  const show = (last = false) => {
    menu.current?.showPopover()
    place(menu.current, button.current)
    entries()
      .at(last ? -1 : 0)
      ?.focus()
  }
  const hide = () => {
    menu.current?.hidePopover()
    button.current?.focus()
  }
  const onButton = (event: KeyboardEvent) => {
    if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
    event.preventDefault()
    show(event.key === 'ArrowUp')
  }
  const onMenu = (event: KeyboardEvent) => {
    const all = entries()
    const at = all.findIndex((one) => one === document.activeElement)
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 }[event.key]
    if (to !== undefined) all.at(to % all.length)?.focus()
    else if (event.key === 'Escape' || event.key === 'Tab') hide()
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  return (
    <>
      <Button
        ref={button}
        aria-haspopup="menu"
        aria-expanded={open}
        aria-controls={id}
        aria-label={label}
        onClick={() => (open ? hide() : show())}
        onKeyDown={onButton}
      >
        {children}
      </Button>
      {/* eslint-disable-next-line jsx-a11y/interactive-supports-focus -- its entries have the focus */}
      <div
        ref={menu}
        id={id}
        role="menu"
        aria-label={label}
        popover="auto"
        className={styles.menu}
        onKeyDown={onMenu}
        onToggle={({ newState }) => setOpen(newState === 'open')}
      >
        {items.map(({ key, label: words, onChoose, disabled = false }) => (
          <button
            key={key}
            type="button"
            role="menuitem"
            tabIndex={-1}
            disabled={disabled}
            onClick={() => {
              hide()
              onChoose()
            }}
          >
            {words}
          </button>
        ))}
      </div>
    </>
  )
}

/** Below the button and even with its end; above it where there is no room below. */
function place(menu: HTMLElement | null, button: HTMLElement | null): void {
  if (!menu || !button) return
  const at = button.getBoundingClientRect()
  const { offsetWidth: width, offsetHeight: height } = menu
  const below = at.bottom + AWAY_PX
  const top = below + height > window.innerHeight ? Math.max(AWAY_PX, at.top - AWAY_PX - height) : below
  menu.style.top = `${String(top)}px`
  menu.style.left = `${String(Math.max(AWAY_PX, Math.min(at.right, window.innerWidth - AWAY_PX) - width))}px`
}
