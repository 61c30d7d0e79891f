import { Button } from 'antd'
import { Refused } from '../../shared/api'
import type { usePreview } from '../../shared/fitting'
import { BothSides, Faults } from '../../shared/ui'
import { say } from './sentences'

/** What a change would come to: what differs, what it serves and loses, what doesn't fit. */
export function Looked(props: {
  preview: ReturnType<typeof usePreview>
  onCatchUp: (revision: number) => void
}) {
  const { preview, onCatchUp } = props
  const { error, data, working } = preview
  if (error instanceof Refused) {
    const { newest, theirs = [], mine = [] } = error.problem
    if (!newest) return <Faults refused={error} />
    return (
      <div role="alert">
        <p>{error.message}</p>
        <BothSides author={newest.author} theirs={theirs} mine={mine} />
        <Button onClick={() => onCatchUp(newest.number)}>{say.lookAgain}</Button>
      </div>
    )
  }
  if (error) return <p role="alert">{error.message}</p>
  if (working || !data) return <p>{say.working}</p>
  const more = [...data.no_way_back.map(({ what }) => what), ...data.notes]
  return (
    <div role="status">
      <p>
        <strong>{say.wouldChange}</strong>
      </p>
      {data.words.length === 0 ? <p>{say.nothing}</p> : <List of={data.words} />}
      {data.left_out.length > 0 && (
        <>
          <p>
            <strong>{say.doesntFit}</strong>
          </p>
          <List of={data.left_out} />
        </>
      )}
      {data.serves.length > 0 && <p>{say.serves(data.serves.join(', '))}</p>}
      {data.loses.length > 0 && <p>{say.loses(data.loses.join(', '))}</p>}
      {more.length > 0 && <List of={more} />}
    </div>
  )
}

export function List({ of }: { of: readonly string[] }) {
  return (
    <ul>
      {of.map((words) => (
        <li key={words}>{words}</li>
      ))}
    </ul>
  )
}
