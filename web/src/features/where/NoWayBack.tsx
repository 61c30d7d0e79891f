import type { Desk } from '../../shared/api'
import { useWhere } from '../../shared/fitting'
import { Traps } from './Traps'

/** Modes that can’t be left again, told for as long as there are any; nothing is asked where there is no mode. */
export function NoWayBack({ desk }: { desk: Desk }) {
  return desk.modes.length > 1 ? <Told client={desk.id} /> : null
}

function Told({ client }: { client: string }) {
  const found = useWhere(client).data?.no_way_back ?? []
  return <Traps found={found} />
}
