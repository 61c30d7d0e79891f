import { Button } from 'antd'
import type { FitResult } from '../../shared/api'
import { FoldedTable } from './FoldedTable'
import { INTENDED, say, VERDICTS } from './sentences'

interface Props {
  result: FitResult
  state: string
  onTrial: (number: number) => void
}

/** The presses as a table, for who can’t see or doesn’t want the lanes. */
export function PressTable({ result, state, onTrial }: Props) {
  const list = (values: number[]) => values.map(Math.round).join(', ')
  return (
    <FoldedTable title={say.allPresses}>
      <thead>
        <tr>
          <th scope="col">{say.asked}</th>
          <th scope="col">{say.heldFor}</th>
          <th scope="col">{say.apartFor}</th>
          <th scope="col">{say.outOf}</th>
          <th scope="col">
            <span className="seen-by-readers-only">{say.why}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {result.trials.map((one, number) => (
          <tr key={one.id || number}>
            <th scope="row">{INTENDED[one.intended]}</th>
            <td>{list(one.held)}</td>
            <td>{list(one.apart)}</td>
            <td>{VERDICTS[state[number] ?? '']}</td>
            <td>
              <Button aria-label={say.whyOf(number + 1)} onClick={() => onTrial(number)}>
                {say.why}
              </Button>
            </td>
          </tr>
        ))}
      </tbody>
    </FoldedTable>
  )
}
