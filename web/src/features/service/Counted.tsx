import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Button, InputNumber } from 'antd'
import { useCallback, useState } from 'react'
import { api, keys, must, type ReachFigures } from '../../shared/api'
import { Faults, Field, FormOf, useAnnounce, useTask } from '../../shared/ui'
import styles from './service.module.css'
import { say } from './sentences'

type Figures = ReachFigures['figures']

const GROUPS = [
  { name: 'wrong_s', words: ['nothing', 'nuisance', 'serious', 'dangerous'], title: say.wrongCosts },
  { name: 'missing_s', words: ['must', 'should', 'could'], title: say.missingCosts },
] as const
const ALONE = [
  { name: 'missing_second', label: say.missingSecond, step: 0.05, most: 1 },
  { name: 'second_share', label: say.secondShare, step: 0.05, most: 1 },
  { name: 'change_s', label: say.changeCosts, step: 5, most: 100_000 },
  { name: 'lost_s', label: say.lostCosts, step: 5, most: 100_000 },
  { name: 'rate', label: say.leastRate, step: 0.01, most: 1 },
] as const

/** What a day is counted with in Reach, for the whole service. */
export function Counted() {
  const { data, error } = useQuery({
    queryKey: keys.reachFigures(),
    queryFn: () => must(api.GET('/api/service/reach')),
  })
  return (
    <section className={styles.below} aria-labelledby="counted">
      <h2 id="counted">{say.counted}</h2>
      <p>{say.countedHow}</p>
      {error && <p role="alert">{error.message}</p>}
      {data && <Form key={JSON.stringify(data.figures)} data={data} />}
    </section>
  )
}

function Form({ data }: { data: ReachFigures }) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  const [figures, setFigures] = useState<Figures>(data.figures)
  const task = useTask(
    useCallback(
      async (sent: Partial<Figures>) => {
        const made = await must(
          api.PUT('/api/service/reach', { body: { figures: sent as Record<string, never> } }),
        )
        queries.setQueryData(keys.reachFigures(), made)
        announce(say.countedSaved)
      },
      [queries, announce],
    ),
  )
  return (
    <FormOf onSubmit={() => void task.run(figures)} refused={task.refused}>
      {GROUPS.map(({ name, words, title }) => (
        <fieldset key={name} className={styles.counted}>
          <legend>{title}</legend>
          {words.map((word) => (
            <Field key={word} label={say[word]} at={word}>
              <InputNumber
                min={0}
                max={100_000}
                value={figures[name][word] ?? 0}
                onChange={(value) =>
                  setFigures({ ...figures, [name]: { ...figures[name], [word]: value ?? 0 } })
                }
              />
            </Field>
          ))}
        </fieldset>
      ))}
      <div className={styles.counted}>
        {ALONE.map(({ name, label, step, most }) => (
          <Field key={name} label={label} at={name}>
            <InputNumber
              min={0}
              max={most}
              step={step}
              value={figures[name]}
              onChange={(value) => setFigures({ ...figures, [name]: value ?? 0 })}
            />
          </Field>
        ))}
      </div>
      <Faults refused={task.refused} />
      <p>
        <Button type="primary" htmlType="submit" loading={task.busy}>
          {say.countLikeThat}
        </Button>{' '}
        <Button disabled={Object.keys(data.said).length === 0} onClick={() => void task.run({})}>
          {say.asUsual}
        </Button>
      </p>
    </FormOf>
  )
}
