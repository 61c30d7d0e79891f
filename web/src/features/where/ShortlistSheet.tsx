import { Button, Checkbox, Input, Radio, Select } from 'antd'
import { useState } from 'react'
import type { Desk, Shortlist, Where } from '../../shared/api'
import { useActions, useFormChange, useWhere } from '../../shared/fitting'
import { Faults, Field, FormOf, SideSheet } from '../../shared/ui'
import { ActionField, choiceOf, choose, meant, type ActionChoice } from '../assign'
import { say } from './sentences'
import styles from './where.module.css'

interface Line {
  row: number
  choice: ActionChoice | undefined
  item: Shortlist['items'][number] | undefined
  name: string
}

/** A shortlist that is there, or a new one. */
export function ShortlistSheet(props: { desk: Desk; id: string | undefined; onClose: () => void }) {
  const { desk, id, onClose } = props
  const where = useWhere(desk.id).data
  const list = where?.shortlists.find((one) => one.id === id)
  return where && (id === undefined || list) ? (
    <Details key={id ?? ''} where={where} list={list} onClose={onClose} />
  ) : null
}

function Details(props: { where: Where; list: Shortlist | undefined; onClose: () => void }) {
  const { where, list, onClose } = props
  const actions = useActions()
  const { change, busy, refused } = useFormChange()
  const [name, setName] = useState(list?.name ?? '')
  const [host, setHost] = useState(list?.host ?? where.hosts[0]?.id ?? '')
  const [works, setWorks] = useState<Shortlist['works']>(list?.works ?? 'open')
  const [locked, setLocked] = useState(list?.locked ?? false)
  const [lines, setLines] = useState<Line[]>(() =>
    (list?.items ?? []).map((item, row) => ({ row, choice: undefined, item, name: item.given ?? '' })),
  )
  const shown = where.hosts.find((one) => one.id === host)
  const room = (shown?.most ?? 1) - lines.length
  const full =
    shown &&
    (room < 0 ? say.tooManyLines(shown.name, shown.most, -room) : say.noMoreLines(shown.name, shown.most))
  const choiceAt = (line: Line) => line.choice ?? choiceOf(line.item?.action ?? null, actions)
  const put = (line: Line) => setLines(lines.map((one) => (one.row === line.row ? line : one)))
  const add = () =>
    setLines([
      ...lines,
      {
        row: Math.max(-1, ...lines.map((one) => one.row)) + 1,
        choice: choose(undefined),
        item: undefined,
        name: '',
      },
    ])
  const items = lines.map((line) => ({ action: meant(choiceAt(line)), name: line.name.trim() || null }))
  const whole = name.trim() !== '' && items.length > 0 && items.every((one) => one.action)
  const onSubmit = async () => {
    const said = {
      name: name.trim(),
      host,
      works,
      locked,
      items: items.flatMap(({ action, name: given }) => (action ? [{ action, name: given }] : [])),
    }
    const made = { kind: 'shortlist' as const, shortlist: list ? { id: list.id, ...said } : said }
    if (whole && (await change(made, list ? say.shortlistChanged(said.name) : say.shortlistAdded(said.name))))
      onClose()
  }
  const takeOut = async (gone: Shortlist) => {
    const made = { kind: 'remove_shortlist' as const, id: gone.id }
    if (await change(made, say.takenOut(gone.name), { tell: true })) onClose()
  }
  return (
    <SideSheet title={list?.name ?? say.newShortlist} onClose={onClose}>
      <FormOf onSubmit={onSubmit} refused={refused}>
        <Field label={say.shortlistName} at="name">
          <Input required maxLength={120} value={name} onChange={(event) => setName(event.target.value)} />
        </Field>
        <Field label={say.onHost} hint={shown && say.shows(lines.length, shown.most)} at="host">
          <Select
            value={host}
            onChange={setHost}
            options={where.hosts.map((one) => ({ value: one.id, label: one.name }))}
          />
        </Field>
        <Field label={say.works}>
          <Radio.Group
            vertical
            value={works}
            onChange={(event) => setWorks(event.target.value as Shortlist['works'])}
            options={[
              { value: 'open', label: say.worksOpen(shown?.choose ?? '') },
              { value: 'step', label: say.worksStep },
            ]}
          />
        </Field>
        <Checkbox
          checked={locked}
          disabled={!shown?.can_lock && !locked}
          onChange={(event) => setLocked(event.target.checked)}
        >
          {shown?.can_lock ? say.lockedToo : say.lockedTooNot}
        </Checkbox>
        {lines.map((line, index) => (
          <fieldset key={line.row} className={styles.lineFields}>
            <legend>{say.line(index + 1)}</legend>
            <ActionField
              label={say.line(index + 1)}
              value={choiceAt(line)}
              onChange={(choice) => put({ ...line, choice })}
              {...(line.item ? { otherwise: line.item.name } : {})}
            />
            <Field label={say.lineName(index + 1)}>
              <Input
                maxLength={120}
                value={line.name}
                onChange={(event) => put({ ...line, name: event.target.value })}
              />
            </Field>
            <Button
              aria-label={say.removeLineOf(index + 1)}
              onClick={() => setLines(lines.filter((one) => one !== line))}
            >
              ✕
            </Button>
          </fieldset>
        ))}
        {room > 0 ? <Button onClick={add}>{say.addLine}</Button> : <p role="status">{full}</p>}
        <Faults refused={refused} />
        <Button type="primary" htmlType="submit" loading={busy} disabled={!whole || room < 0}>
          {list ? say.save : say.add}
        </Button>
        {list && (
          <Button danger onClick={() => void takeOut(list)}>
            {say.takeOut}
          </Button>
        )}
      </FormOf>
    </SideSheet>
  )
}
