import { Button } from 'antd'
import { useState } from 'react'
import type { Button as OneButton, Desk, ProposalData } from '../../shared/api'
import { Waiting } from '../../shared/plain'
import { useMayChange } from '../../shared/session'
import { Faults, SideSheet } from '../../shared/ui'
import { Proposed } from './Proposed'
import { RulesFields } from './RulesFields'
import { useAsking, useProposal, type Rules } from './queries'
import { say } from './sentences'
import styles from './reach.module.css'

const NONE: Rules = { pinned: [], buttons: [], gestures: [] }

/** The few changes that would help most: worked out, shown as what they change, taken all or in part. */
export function ProposalSheet(props: {
  desk: Desk
  buttons: OneButton[]
  onClose: () => void
  onMeasure: (button: string) => void
}) {
  const { desk, buttons, onClose, onMeasure } = props
  const mayChange = useMayChange()
  const { data, error } = useProposal(desk.id)
  const asking = useAsking(desk.id)
  const proposal = data?.proposal ?? undefined
  const [changed, setRules] = useState<Rules>()
  const rules = changed ?? rulesOf(proposal)
  const isOpen = proposal?.state === 'waiting' || proposal?.state === 'working'
  return (
    <SideSheet title={say.sheet} onClose={onClose}>
      <p>{say.sheetHow}</p>
      {error && <p role="alert">{error.message}</p>}
      {!data && !error && <Waiting />}
      {mayChange && data && (
        <>
          <RulesFields client={desk.id} buttons={buttons} rules={rules} onChange={setRules} />
          <Faults refused={asking.refused} />
          <div>
            <Button
              type={proposal ? 'default' : 'primary'}
              loading={asking.busy}
              disabled={isOpen}
              onClick={() => void asking.run(rules)}
            >
              {proposal ? say.askAnew : say.ask}
            </Button>
          </div>
        </>
      )}
      {proposal && isOpen && (
        <Going proposal={proposal} onStop={() => void asking.run({ end: proposal.id })} />
      )}
      {proposal?.state === 'failed' && <p role="alert">{say.failed(proposal.error ?? '')}</p>}
      {proposal?.state === 'given_up' && <p role="status">{say.givenUp}</p>}
      {proposal?.state === 'done' && proposal.result && (
        <>
          {proposal.revision !== data?.revision && (
            <p role="status" className={styles.older}>
              {say.older(String(proposal.revision), String(data?.revision))}
            </p>
          )}
          <Proposed
            key={proposal.id}
            client={desk.id}
            result={proposal.result}
            onMeasure={onMeasure}
            onTaken={onClose}
          />
        </>
      )}
    </SideSheet>
  )
}

const rulesOf = (proposal: ProposalData | undefined): Rules =>
  proposal
    ? {
        pinned: proposal.pinned,
        buttons: proposal.shut.buttons,
        gestures: proposal.shut.gestures as Rules['gestures'],
      }
    : NONE

function Going({ proposal, onStop }: { proposal: ProposalData; onStop: () => void }) {
  const { state, done, of } = proposal
  const words = state === 'waiting' ? say.waiting : say.working(String(done), String(of))
  const mayChange = useMayChange()
  return (
    <div className={styles.going}>
      <p role="status">{words}</p>
      <progress max={Math.max(of, 1)} value={done} aria-label={words} />
      {mayChange && <Button onClick={onStop}>{say.stop}</Button>}
    </div>
  )
}
