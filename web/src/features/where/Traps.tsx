import { Alert, Button } from 'antd'
import type { Trap } from '../../shared/api'
import { useChange } from '../../shared/fitting'
import { useMayChange } from '../../shared/session'
import { say } from './sentences'

/** Modes that can’t be left again, each with the press that puts it right. */
export function Traps({ traps }: { traps: Trap[] }) {
  const mayChange = useMayChange()
  const { change, busy } = useChange()
  return traps.map((trap) => (
    <Alert
      key={trap.words}
      type="error"
      showIcon
      title={trap.words}
      action={
        trap.fix &&
        mayChange && (
          <Button
            disabled={busy}
            onClick={() => {
              if (trap.fix) void change(trap.fix, say.wayBackAdded, { tell: true })
            }}
          >
            {say.addWayBack}
          </Button>
        )
      }
    />
  ))
}
