import { act, render } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { pressed, released } from './live'
import { LiveStore, useDownOf, useLiveOf } from './liveStore'

describe('LiveStore', () => {
  it('draws anew who looks at the button that changed, and nobody else', () => {
    const store = new LiveStore()
    const drawn: string[] = []
    const One = ({ button }: { button: string }) => {
      drawn.push(`${button} ${useLiveOf(store, button).down ? 'down' : 'up'}`)
      return null
    }
    render(
      <>
        <One button="a/a" />
        <One button="b/b" />
      </>,
    )
    drawn.length = 0
    act(() => store.update((live) => pressed(live, 'a/a', 1)))
    act(() => store.update((live) => released(live, 'a/a', 2)))
    act(() => store.update((live) => live))
    expect(drawn).toEqual(['a/a down', 'a/a up'])
  })

  it('tells which are down', () => {
    const store = new LiveStore()
    let seen: string[] = []
    const All = () => {
      seen = useDownOf(store, ['a/a', 'b/b', 'c/c'])
      return null
    }
    render(<All />)
    expect(seen).toEqual([])
    act(() => store.update((live) => pressed(pressed(live, 'c/c', 1), 'a/a', 1)))
    expect(seen).toEqual(['a/a', 'c/c'])
  })
})
