import { useQuery } from '@tanstack/react-query'
import { Refused, api, keys, must } from '../../shared/api'
import { useRevision } from '../../shared/fitting'
import { Faults } from '../../shared/ui'
import { Told } from './Told'
import { say } from './sentences'

/** A trace: what each press of it would do with this fitting. */
export function TraceIn({ client, id, text }: { client: string; id: string; text: string }) {
  const { data, error } = useQuery({
    queryKey: keys.takenTrace(client, useRevision(), id),
    queryFn: () =>
      must(
        api.POST('/api/clients/{client}/recordings', {
          params: { path: { client } },
          body: { trace: text },
        }),
      ),
    retry: false,
  })
  if (error) return <Faults refused={error instanceof Refused ? error : undefined} />
  return data ? <Told taken={data} /> : <p>{say.working}</p>
}
