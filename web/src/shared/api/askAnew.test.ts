import { QueryClient, QueryObserver } from '@tanstack/react-query'
import { expect, it } from 'vitest'
import { askAnew } from './askAnew'

/** A question whose answers come when they are let. */
function asking() {
  const queries = new QueryClient()
  const answers: ((answer: string) => void)[] = []
  const seen: (string | undefined)[] = []
  const observer = new QueryObserver<string>(queries, {
    queryKey: ['screens', 'one', 4],
    queryFn: () => new Promise<string>((resolve) => answers.push(resolve)),
  })
  observer.subscribe(({ data }) => seen.push(data))
  return { queries, answers, last: () => seen.at(-1) }
}

const settled = () => new Promise((resolve) => setTimeout(resolve))
const SCREENS = { queryKey: ['screens', 'one'] }

it('asks once more where the first answer is older than the notice', async () => {
  const { queries, answers, last } = asking()
  const asked = askAnew(queries, SCREENS)
  answers[0]?.('before')
  await settled()
  expect(answers).toHaveLength(2)
  answers[1]?.('after')
  await asked
  expect(last()).toBe('after')
  expect(answers).toHaveLength(2)
})

it('asks once where an answer is there already, and leaves other questions alone', async () => {
  const { queries, answers, last } = asking()
  answers[0]?.('before')
  await settled()
  await askAnew(queries, { queryKey: ['screens', 'another'] })
  expect(answers).toHaveLength(1)
  const asked = askAnew(queries, SCREENS)
  answers[1]?.('after')
  await asked
  expect(last()).toBe('after')
  expect(answers).toHaveLength(2)
})
