import { Button, Radio } from 'antd'
import { useState } from 'react'
import type { Checked, Desk } from '../../shared/api'
import { useFormChange, usePreview } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { Waiting } from '../../shared/plain'
import { Faults, SideSheet } from '../../shared/ui'
import { WhatChanges } from '../assign'
import { nameOf } from './found'
import { Known } from './Known'
import { useCheck, useFixes } from './queries'
import { say } from './sentences'
import styles from './check.module.css'

/** One finding: what would mend it, with all that it would change, before it is done. */
export function FindingSheet({ desk, id, onClose }: { desk: Desk; id: string; onClose: () => void }) {
  const check = useCheck(desk.id)
  const finding = check.data?.findings.find((one) => nameOf(one) === id)
  return (
    <SideSheet title={say.sheetTitle} onClose={onClose}>
      {finding && <Mending key={id} desk={desk} finding={finding} onClose={onClose} />}
      {!finding && check.isPending && <Waiting />}
      {!finding && check.data && <p role="status">{say.gone}</p>}
    </SideSheet>
  )
}

function Mending({ desk, finding, onClose }: { desk: Desk; finding: Checked; onClose: () => void }) {
  const mayChange = useMayChange()
  const fixes = useFixes(desk.id, finding)
  // By its words: after a save by somebody else these may be others, in another order.
  const [chosen, setChosen] = useState<string>()
  const fix = fixes.data?.find((one) => one.words === chosen) ?? fixes.data?.[0]
  const { change, busy, refused, openedOn, catchUp } = useFormChange()
  const preview = usePreview(desk.id, fix?.change, openedOn)
  const mend = async () => {
    if (fix && (await change(fix.change, say.done(fix.words), { tell: true }))) onClose()
  }
  return (
    <div className={styles.mending}>
      <p>
        <strong>{finding.what}</strong>
      </p>
      {fixes.isPending && <p role="status">{say.looking}</p>}
      {fixes.error && <p role="alert">{fixes.error.message}</p>}
      {fixes.data?.length === 0 && <p role="status">{say.noFix}</p>}
      {fixes.data && fixes.data.length > 0 && (
        <Radio.Group
          className={styles.fixes}
          aria-label={say.chooseOne}
          value={fix?.words}
          onChange={(event) => setChosen(event.target.value as string)}
          options={fixes.data.map(({ words }) => ({ value: words, label: words }))}
        />
      )}
      {fix && (
        <>
          {preview.data && preview.data.words.length > 0 && (
            <section aria-label={say.differs}>
              <h3>{say.differs}</h3>
              <ul>
                {preview.data.words.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </section>
          )}
          <WhatChanges
            preview={preview.data}
            refusal={preview.error}
            working={preview.working}
            onCatchUp={catchUp}
          />
          <Faults refused={refused} />
          {mayChange && (
            <Button type="primary" loading={busy} disabled={!preview.data} onClick={() => void mend()}>
              {say.doThis}
            </Button>
          )}
        </>
      )}
      <Known key={finding.known?.at} finding={finding} />
    </div>
  )
}
