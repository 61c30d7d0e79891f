import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { owner } from './owner'

let page: HTMLElement
const button = (name: string, spot?: string) => {
  const one = document.createElement('button')
  one.textContent = name
  if (spot) one.dataset['spot'] = spot
  one.checkVisibility = () => true
  return one
}
const focused = () => document.activeElement?.textContent

beforeEach(() => {
  page = document.createElement('main')
  page.tabIndex = -1
  page.dataset['pane'] = ''
  document.body.append(page)
  document.addEventListener('focusin', owner.onFocus)
})
afterEach(() => {
  document.removeEventListener('focusin', owner.onFocus)
  owner.onPointer()
  page.remove()
})

describe('the owner of the focus', () => {
  it('gives it to what stands in the place of what had it, else to what is nearest', () => {
    const row = document.createElement('div')
    const chip = button('Next page', 'a tap')
    row.append(button('before'), chip)
    page.append(row)
    chip.focus()
    chip.replaceWith(button('+', 'a tap'))
    owner.look()
    expect(focused()).toBe('+')
    row.querySelector('[data-spot]')?.remove()
    owner.look()
    expect(focused()).toBe('before')
  })

  it('leaves it where it is, and where somebody points elsewhere', () => {
    const [one, other] = [button('one'), button('other')]
    page.append(one, other)
    one.focus()
    owner.look()
    expect(focused()).toBe('one')
    owner.onPointer()
    one.remove()
    owner.look()
    expect(document.activeElement).toBe(document.body)
  })

  it('waits for what can’t be worked for a moment', () => {
    const save = button('save')
    page.append(save, button('other'))
    save.focus()
    save.blur()
    save.disabled = true
    owner.look()
    expect(document.activeElement).toBe(document.body)
    save.disabled = false
    owner.look()
    expect(focused()).toBe('save')
  })

  it('goes back to where it was before something opened, unless it is elsewhere already', () => {
    const [opens, sheet, alert] = [button('opens', 'a tap'), button('sheet'), button('alert')]
    page.append(opens, sheet, alert)
    opens.focus()
    const way = owner.wayBack()
    sheet.focus()
    owner.goBack(way)
    sheet.remove()
    owner.look()
    expect(focused()).toBe('opens')
    owner.goBack(way)
    alert.focus()
    owner.look()
    alert.remove()
    owner.look()
    // What was nearest to that, not what was gone back to long ago.
    expect(document.activeElement).toBe(page)
  })

  it('comes to a place once it is there, and not where somebody has gone on', () => {
    const bar = button('leave it where it is')
    page.append(bar)
    bar.focus()
    owner.expect('b tap')
    bar.remove()
    page.append(button('Next page', 'b tap'))
    owner.look()
    expect(focused()).toBe('Next page')
  })
})
