import { useDifferences } from '../../shared/fitting'

/** What differs between two revisions, in words. */
export function Words(props: { title: string; client: string; from: number; to: number; none: string }) {
  const { title, client, from, to, none } = props
  const words = useDifferences(client, from, to)
  return (
    <section aria-label={title}>
      <h3>{title}</h3>
      {words.error && <p role="alert">{words.error.message}</p>}
      {words.data?.length === 0 && <p>{none}</p>}
      <ul>
        {(words.data ?? []).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  )
}
