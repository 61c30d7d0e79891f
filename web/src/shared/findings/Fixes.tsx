import { Button } from 'antd'
import type { Finding } from '../api'
import { useChange } from '../fitting'
import { useMayChange } from '../session'

/** What would mend a finding, each in one press; nothing for who may only look. */
export function Fixes({ finding }: { finding: Finding }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  if (!mayChange) return null
  return finding.fixes.map((fix) => (
    <Button
      key={fix.words}
      disabled={busy}
      onClick={() => void change(fix.change, `${fix.words}.`, { tell: true })}
    >
      {fix.words}
    </Button>
  ))
}
