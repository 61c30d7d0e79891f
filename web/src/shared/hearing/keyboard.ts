import { swallow, type Plug } from './ear'

const FIELDS = 'input:not([type=radio]):not([type=checkbox]), textarea, select, [contenteditable=true]'

/** Keys, by their place on the keyboard. Keys typed into a field are left alone. */
export const plugKeyboard: Plug = (ear) => {
  const down = new Set<string>()

  const onDown = (event: KeyboardEvent) => {
    const source = `key:${event.code || event.key}`
    const field = event.target instanceof Element && event.target.matches(FIELDS)
    if (field || !ear.wants(source, event.target)) return
    swallow(event)
    // The key's own repeating is no press.
    if (event.repeat || down.has(source)) return
    down.add(source)
    ear.hear({ source, edge: 'down', timeMs: event.timeStamp })
  }

  const onUp = (event: KeyboardEvent) => {
    const source = `key:${event.code || event.key}`
    if (!down.delete(source)) return
    swallow(event)
    ear.hear({ source, edge: 'up', timeMs: event.timeStamp })
  }

  window.addEventListener('keydown', onDown, true)
  window.addEventListener('keyup', onUp, true)
  return () => {
    window.removeEventListener('keydown', onDown, true)
    window.removeEventListener('keyup', onUp, true)
  }
}
