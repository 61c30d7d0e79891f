import { Select } from 'antd'
import { useEffect, useRef, useState, type KeyboardEvent } from 'react'
import type { CatalogueAction, Host } from '../../shared/api'
import { useFoundActions, useLikeliest } from '../../shared/fitting'
import { Field } from '../../shared/ui'
import { AskFields } from './lazy'
import type { ActionChoice } from './actionChoice'
import { choose } from './actionChoice'
import { say } from './sentences'

interface Props {
  label: string
  value: ActionChoice
  onChange: (value: ActionChoice) => void
  /** What the action is called that no entry of the list stands for. */
  otherwise?: string | null
  /** The host it is for: what doesn't exist there can't be chosen. */
  system?: Host['system'] | undefined
  /** Not several steps: it is one of them. */
  single?: boolean
}

const NONE = ''
const AS_IT_IS = 'as-it-is'

/** An action found by what people say, with what it asks; nothing where nobody knows yet. */
export function ActionField({ label, value, onChange, otherwise, system, single = false }: Props) {
  const [words, setWords] = useState('')
  const [open, setOpen] = useState(false)
  const likeliestOf = useLikeliest()
  const { actions: found, settled } = useFoundActions(words)
  const actions = single ? found.filter((one) => one.step) : found
  const { picked } = value
  const shown = picked && !actions.includes(picked) && !words ? [picked, ...actions] : actions
  const pick = (id: string) => {
    setWords('')
    if (id !== AS_IT_IS) onChange(choose(actions.find((one) => one.id === id)))
  }
  // Who types fast presses Enter before the list is that of these words: what fits best is taken when it is.
  const hurried = useRef<string>(undefined)
  // Until it is there the form may have become another; and a field that is gone chooses nothing.
  const change = useRef(onChange)
  useEffect(() => {
    change.current = onChange
  })
  useEffect(
    () => () => {
      hurried.current = undefined
    },
    [],
  )
  const takeLikeliest = async () => {
    hurried.current = words
    const here = (one: CatalogueAction) => system === undefined || one.hosts.includes(system)
    const likeliest = await likeliestOf(words, (one) => here(one) && (!single || one.step))
    if (hurried.current !== words || !likeliest) return
    setWords('')
    setOpen(false)
    change.current(choose(likeliest))
  }
  const holdBack = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' || settled) return
    event.preventDefault()
    event.stopPropagation()
    takeLikeliest().catch(() => undefined)
  }
  return (
    <>
      <Field label={label}>
        <Select
          showSearch
          filterOption={false}
          searchValue={words}
          onSearch={(said) => {
            hurried.current = undefined
            setWords(said)
          }}
          onInputKeyDown={holdBack}
          open={open}
          onOpenChange={setOpen}
          value={picked?.id ?? (value.asItIs ? AS_IT_IS : NONE)}
          onChange={pick}
          notFoundContent={say.noActionFitsTry}
          options={[
            ...(words ? [] : [{ value: NONE, label: say.notKnownYet }]),
            ...(value.asItIs && !words ? [{ value: AS_IT_IS, label: otherwise ?? say.as }] : []),
            ...shown.map((one) => ({
              value: one.id,
              label: nameOf(one),
              disabled: system !== undefined && !one.hosts.includes(system),
            })),
          ]}
        />
      </Field>
      {picked && (
        <AskFields
          key={picked.id}
          asks={picked.asks}
          answers={value.answers}
          onAnswer={(member, answer) =>
            onChange({ ...value, answers: { ...value.answers, [member]: answer } })
          }
          onInstead={(action) => onChange(choose(action))}
          system={system}
        />
      )}
    </>
  )
}

/** With its app, and a sign that it asks something. */
const nameOf = (one: CatalogueAction) =>
  [`${one.name}${one.asks.length > 0 ? ' …' : ''}`, one.app].filter(Boolean).join(' · ')
