import { Button, Input } from 'antd'
import { useState } from 'react'
import type { Checked } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Field, FormOf } from '../../shared/ui'
import { KnownBy } from './KnownBy'
import { say } from './sentences'

/** A finding that is meant to be so: noted with a reason, or found again. */
export function Known({ finding }: { finding: Checked }) {
  const mayChange = useMayChange()
  const { change, busy, refused } = useChange()
  const [why, setWhy] = useState('')
  const { id, where, bad, figures, mark, known } = finding
  if (bad !== 'serious' && bad !== 'look') return null
  const note = async () => {
    const rested = { bad, figures, mark }
    if (await change({ kind: 'known', finding: id, where, why, rested }, say.nowKnown)) setWhy('')
  }
  return (
    <section aria-label={say.keepSo}>
      <h3>{say.keepSo}</h3>
      <p>
        <KnownBy finding={finding} />
      </p>
      {mayChange && known && (
        <Button
          loading={busy}
          onClick={() => void change({ kind: 'not_known', finding: id, where }, say.nowFound)}
        >
          {say.notKnown}
        </Button>
      )}
      {mayChange && !known && (
        <FormOf onSubmit={note} refused={refused}>
          <Field label={say.why} hint={say.whyHint} at="why">
            <Input maxLength={120} value={why} onChange={(event) => setWhy(event.target.value)} />
          </Field>
          <Button htmlType="submit" disabled={busy || why.trim() === ''}>
            {say.markKnown}
          </Button>
        </FormOf>
      )}
    </section>
  )
}
