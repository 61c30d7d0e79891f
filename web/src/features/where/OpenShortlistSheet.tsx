import type { Desk } from '../../shared/api'
import { useWhere, type Spot } from '../../shared/fitting'
import { OnButtonSheet } from './OnButtonSheet'
import { say } from './sentences'

/** Which button opens a shortlist, with what. */
export function OpenShortlistSheet(props: { desk: Desk; id: string; spot: Spot; onClose: () => void }) {
  const { desk, id } = props
  const list = useWhere(desk.id).data?.shortlists.find((one) => one.id === id)
  if (!list) return null
  const host = desk.hosts.find((one) => one.id === list.host)
  return (
    <OnButtonSheet
      {...props}
      title={say.openWithOf(list.name)}
      buttons={(host?.devices ?? []).flatMap((device) => device.buttons)}
      make={(on) => ({ kind: 'open_shortlist', shortlist: id, mode: 'base', ...on })}
      said={(button) => say.opens(button, list.name)}
    />
  )
}
