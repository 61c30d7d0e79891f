import { OF_PEOPLE } from '../../shared/text'
import { useInfiniteQuery } from '@tanstack/react-query'
import { Button } from 'antd'
import { keys, api, must, type AuditEntry } from '../../shared/api'
import styles from './service.module.css'
import { say } from './sentences'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'medium', timeStyle: 'short' })

const detailWords = (entry: AuditEntry) =>
  Object.entries(entry.detail)
    .map(([key, value]) => `${key}: ${Array.isArray(value) ? value.join(', ') : String(value)}`)
    .join('; ')

/** Who changed what, newest first. */
export function AuditTrail() {
  const audit = useInfiniteQuery({
    queryKey: keys.audit(),
    initialPageParam: undefined as number | undefined,
    queryFn: async ({ pageParam }) =>
      (await must(api.GET('/api/audit', { params: { query: pageParam ? { before: pageParam } : {} } })))
        .entries,
    getNextPageParam: (last) => (last.length === 100 ? last.at(-1)?.id : undefined),
    staleTime: 0,
  })
  const entries = audit.data?.pages.flat() ?? []
  return (
    <section className={styles.wide} aria-labelledby="audit">
      <h2 id="audit">{say.whoChangedWhat}</h2>
      {audit.error && <p role="alert">{audit.error.message}</p>}
      <div className={styles.trail}>
        <table>
          <thead>
            <tr>
              <th scope="col">{say.when}</th>
              <th scope="col">{say.who}</th>
              <th scope="col">{say.what}</th>
              <th scope="col">{say.more}</th>
            </tr>
          </thead>
          <tbody>
            {entries.map((entry) => (
              <tr key={entry.id}>
                <td>{WHEN.format(new Date(entry.at))}</td>
                <td>{entry.author}</td>
                <td>{entry.what}</td>
                <td>
                  {Object.keys(entry.detail).length > 0 && (
                    <details>
                      <summary aria-label={say.moreWithWhat(entry.what)}>{say.more}</summary>
                      {detailWords(entry)}
                    </details>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {audit.hasNextPage && <Button onClick={() => void audit.fetchNextPage()}>{say.showOlderOnes}</Button>}
    </section>
  )
}
