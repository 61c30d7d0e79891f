import { afterEach, describe, expect, it } from 'vitest'
import { plugIn, type Heard } from '.'

let unplug: () => void = () => undefined
afterEach(() => unplug())

function listen(wanted: string[]): Heard[] {
  const heard: Heard[] = []
  unplug = plugIn({ wants: (source) => wanted.includes(source), hear: (one) => heard.push(one) })
  return heard
}

function key(
  type: string,
  code: string,
  options: KeyboardEventInit = {},
  target: EventTarget = document.body,
): Event {
  const event = new KeyboardEvent(type, { code, bubbles: true, cancelable: true, ...options })
  target.dispatchEvent(event)
  return event
}

function pointer(type: string, buttons: number, pointerType = 'mouse'): Event {
  const event = new MouseEvent(type, { buttons, bubbles: true, cancelable: true })
  Object.assign(event, { pointerType, pointerId: 1 })
  document.body.dispatchEvent(event)
  return event
}

const short = (heard: Heard[]) => heard.map(({ source, edge }) => `${source} ${edge}`)

describe('keyboard', () => {
  it('hears and swallows what is wanted, and nothing else', () => {
    const heard = listen(['key:F8'])
    expect(key('keydown', 'F8').defaultPrevented).toBe(true)
    expect(key('keyup', 'F8').defaultPrevented).toBe(true)
    expect(key('keydown', 'F9').defaultPrevented).toBe(false)
    expect(short(heard)).toEqual(['key:F8 down', 'key:F8 up'])
  })

  it('swallows the key’s own repeating without hearing it', () => {
    const heard = listen(['key:F8'])
    key('keydown', 'F8')
    expect(key('keydown', 'F8', { repeat: true }).defaultPrevented).toBe(true)
    expect(short(heard)).toEqual(['key:F8 down'])
  })

  it('leaves alone what is typed into a field', () => {
    const field = document.body.appendChild(document.createElement('input'))
    const heard = listen(['key:KeyA'])
    expect(key('keydown', 'KeyA', {}, field).defaultPrevented).toBe(false)
    expect(heard).toEqual([])
    field.remove()
  })

  it('hears no release of a key that was pressed before', () => {
    const heard = listen(['key:F8'])
    key('keyup', 'F8')
    expect(heard).toEqual([])
  })
})

describe('pointer', () => {
  it('tells every button by its bit', () => {
    const heard = listen(['pointer:0', 'pointer:1', 'pointer:2', 'pointer:3', 'pointer:4', 'pointer:5'])
    for (const bit of [1, 2, 4, 8, 16, 32]) {
      pointer('pointerdown', bit)
      pointer('pointerup', 0)
    }
    expect(short(heard).filter((one) => one.endsWith('down'))).toEqual(
      [0, 2, 1, 3, 4, 5].map((button) => `pointer:${String(button)} down`),
    )
  })

  it('hears a second button that comes as a move', () => {
    const heard = listen(['pointer:2'])
    pointer('pointerdown', 1)
    pointer('pointermove', 3)
    pointer('pointermove', 1)
    pointer('pointerup', 0)
    expect(short(heard)).toEqual(['pointer:2 down', 'pointer:2 up'])
  })

  it('swallows what a press would set off', () => {
    listen(['pointer:3'])
    pointer('pointerdown', 8)
    const up = new MouseEvent('mouseup', { button: 3, bubbles: true, cancelable: true })
    document.body.dispatchEvent(up)
    expect(up.defaultPrevented).toBe(true)
  })

  it('tells pen and finger from the mouse, and lets go when the browser takes over', () => {
    const heard = listen(['pen:0', 'touch:0'])
    pointer('pointerdown', 1, 'pen')
    pointer('pointercancel', 1, 'pen')
    pointer('pointerdown', 1, 'touch')
    expect(short(heard)).toEqual(['pen:0 down', 'pen:0 up', 'touch:0 down'])
  })
})
