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

describe('wheel', () => {
  const turn = (init: WheelEventInit) => {
    const event = new WheelEvent('wheel', { bubbles: true, cancelable: true, ...init })
    document.body.dispatchEvent(event)
    return event
  }

  it('hears a step up, down and the tilt, and keeps the page still', () => {
    const heard = listen(['wheel:up', 'wheel:down', 'wheel:left', 'wheel:right'])
    expect(turn({ deltaY: -120 }).defaultPrevented).toBe(true)
    turn({ deltaY: 120 })
    turn({ deltaX: -60 })
    turn({ deltaX: 3, deltaMode: WheelEvent.DOM_DELTA_LINE })
    expect(short(heard)).toEqual([
      'wheel:up notch',
      'wheel:down notch',
      'wheel:left notch',
      'wheel:right notch',
    ])
  })

  it('makes one step of many small turns of a smooth wheel', () => {
    const heard = listen(['wheel:down'])
    for (let count = 0; count < 9; count += 1) turn({ deltaY: 10 })
    expect(short(heard)).toEqual(['wheel:down notch', 'wheel:down notch'])
  })

  it('leaves alone what is not wanted', () => {
    const heard = listen([])
    expect(turn({ deltaY: 120 }).defaultPrevented).toBe(false)
    expect(heard).toEqual([])
  })
})

describe('gamepad', () => {
  const frames: FrameRequestCallback[] = []
  let pad: { index: number; timestamp: number; buttons: object[]; axes: number[] }

  function listenToPad(wanted: string[]): Heard[] {
    Object.assign(navigator, { getGamepads: () => [pad] })
    window.requestAnimationFrame = (frame) => frames.push(frame)
    return listen(wanted)
  }
  const look = (buttons: [boolean, number][], axes: number[] = []) => {
    pad = { index: 0, timestamp: 0, buttons: buttons.map(([pressed, value]) => ({ pressed, value })), axes }
    frames.pop()?.(0)
  }

  it('hears buttons, and levels of those that give force', () => {
    const heard = listenToPad(['gamepad:0:button:0', 'gamepad:0:level:1'])
    look([
      [true, 1],
      [false, 0.42],
    ])
    look([
      [false, 0],
      [true, 1],
    ])
    expect(heard.map(({ source, edge, level }) => [source, edge, level])).toEqual([
      ['gamepad:0:button:0', 'down', undefined],
      ['gamepad:0:level:1', 'level', 0.4],
      ['gamepad:0:button:0', 'up', undefined],
      ['gamepad:0:level:1', 'level', 1],
    ])
  })

  it('takes the time of the pad itself where that is told and fresh', () => {
    const heard = listenToPad(['gamepad:0:button:0'])
    const now = performance.now()
    const press = (pressed: boolean, timestamp: number) => {
      pad = { index: 0, timestamp, buttons: [{ pressed, value: Number(pressed) }], axes: [] }
      frames.pop()?.(0)
    }
    press(true, now - 7)
    press(false, now - 5000)
    press(true, 0)
    expect(heard[0]?.timeMs).toBe(now - 7)
    for (const late of heard.slice(1)) expect(late.timeMs).toBeGreaterThanOrEqual(now)
  })

  it('hears a stick as two levels an axis, and not its trembling at rest', () => {
    const heard = listenToPad(['gamepad:0:axis:0:-', 'gamepad:0:axis:0:+'])
    look([], [0.1])
    look([], [-0.8])
    look([], [0.05])
    expect(heard.map(({ source, level }) => [source, level])).toEqual([
      ['gamepad:0:axis:0:-', 0.8],
      ['gamepad:0:axis:0:-', 0],
    ])
  })
})
