import type { FitResult } from '../../shared/api'
import { FoldedTable } from './FoldedTable'
import { GOT, INTENDED, say } from './sentences'
import styles from './compared.module.css'

/** What became of what was asked, of presses the timing had not seen. */
export function Confusion({ confusion }: { confusion: FitResult['confusion'] }) {
  const all = [...new Set(confusion.flatMap((row) => row.got.map((one) => one.what)))]
  return (
    <FoldedTable title={say.confusion}>
      <thead>
        <tr>
          <th scope="col">{say.asked}</th>
          {all.map((what) => (
            <th key={what} scope="col">
              {GOT[what] ?? what}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {confusion.map((row) => (
          <tr key={row.intended}>
            <th scope="row">{INTENDED[row.intended]}</th>
            {all.map((what) => (
              <td key={what} className={styles.figure}>
                {row.got.find((one) => one.what === what)?.count ?? ''}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </FoldedTable>
  )
}
