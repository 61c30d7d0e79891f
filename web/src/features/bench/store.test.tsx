import { act, render } from '@testing-library/react'
import { expect, it } from 'vitest'
import { picking, Store, useParts } from './store'

it('draws anew who looks at what is another, and nobody else', () => {
  const store = new Store({ mode: 'off', tiles: 0, start: () => undefined })
  const drawn: string[] = []
  const Mode = () => {
    drawn.push(`mode ${useParts(store, ['mode', 'start']).mode}`)
    return null
  }
  const Tiles = () => {
    drawn.push(`tiles ${String(useParts(store, ['tiles']).tiles)}`)
    return null
  }
  render(
    <>
      <Mode />
      <Tiles />
    </>,
  )
  drawn.length = 0
  act(() => store.set({ ...store.get(), tiles: 1 }))
  expect(drawn).toEqual(['tiles 1'])
  act(() => store.set({ ...store.get(), mode: 'on' }))
  act(() => store.set({ ...store.get() }))
  expect(drawn).toEqual(['tiles 1', 'mode on'])
})

it('picks the same for as long as it is the same', () => {
  const store = new Store<{ one: number; other: number }>({ one: 1, other: 1 })
  const one = picking(store, ['one'])
  const before = one()
  store.set({ one: 1, other: 2 })
  expect(one()).toBe(before)
  store.set({ one: 2, other: 2 })
  expect(one()).toEqual({ one: 2 })
})
