import type { Button, Desk } from '../../shared/api'
import { useMayChange } from '../../shared/session'
import { SideSheet } from '../../shared/ui'
import { TakeIn } from './TakeIn'
import { TakeOut } from './TakeOut'
import { say } from './sentences'

/** Everything in open formats: out of this client, and into it. */
export function FilesSheet(props: {
  desk: Desk
  buttons: Button[]
  onClose: () => void
  onCarry: () => void
}) {
  const { desk, buttons, onClose, onCarry } = props
  const mayChange = useMayChange()
  return (
    <SideSheet title={say.title} onClose={onClose}>
      {mayChange && <TakeIn desk={desk} buttons={buttons} onCarry={onCarry} />}
      <TakeOut desk={desk} buttons={buttons} />
    </SideSheet>
  )
}
