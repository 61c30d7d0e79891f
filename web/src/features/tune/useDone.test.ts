import { act, renderHook } from '@testing-library/react'
import { expect, it, vi } from 'vitest'
import { useDone } from './useDone'

it('tells each answer once while it is on its way, and again where it could not be told', async () => {
  const answers: ((ok: boolean) => void)[] = []
  const take = vi.fn(() => new Promise<boolean>((is) => answers.push(is)))
  const { result } = renderHook(() => useDone(take))
  act(() => {
    result.current.done(4, 2)
    result.current.done(4, 2)
    result.current.done(4, 3)
  })
  expect(take.mock.calls).toEqual([[{ do: 'done', prompt: 4, seen: 2 }]])
  await act(async () => answers[0]?.(false))
  expect(result.current.tried).toBe(1)
  act(() => result.current.done(4, 3))
  expect(take).toHaveBeenCalledTimes(2)
  act(() => result.current.done(5, 4))
  expect(take).toHaveBeenLastCalledWith({ do: 'done', prompt: 5, seen: 4 })
  await act(async () => answers[2]?.(true))
  expect(result.current.tried).toBe(1)
})
