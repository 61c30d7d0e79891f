import { useWhere } from '../../shared/fitting'
import { Counts } from './Counts'

/** What is counted while one mode is held. */
export function CountsHeld({ client, mode }: { client: string; mode: string }) {
  const counts = useWhere(client).data?.modes.find((one) => one.id === mode)?.counts ?? []
  return <Counts counts={counts} />
}
