import type { ReachData } from '../../shared/api'
import { say } from './sentences'
import styles from './reach.module.css'

type Row = ReachData['wants'][number]
type Cell = Row['cells'][number]
type Way = NonNullable<Cell['way']>

const WORDS = {
  must: say.must,
  should: say.should,
  could: say.could,
  nothing: say.nothing,
  nuisance: say.nuisance,
  serious: say.serious,
  dangerous: say.dangerous,
} as const
const word = (one: string) => WORDS[one as keyof typeof WORDS] ?? one

/** Wants down, devices across: the best way in each crossing, or why there is none. */
export function MapTable({ data, shown }: { data: ReachData; shown: string[] }) {
  // Those by which something is done come first: they are what is looked for.
  const does = (device: string) =>
    data.wants.some(({ cells }) => cells.some((one) => one.device === device && one.way))
  const devices = data.devices
    .filter(({ device }) => shown.includes(device))
    .sort((one, other) => Number(does(other.device)) - Number(does(one.device)))
  return (
    <div className={styles.scrolls} tabIndex={-1}>
      <table className={styles.map}>
        <thead>
          <tr>
            <th scope="col">{say.want}</th>
            {devices.map(({ device, name, is_off: isOff }) => (
              <th key={device} scope="col">
                {name} {isOff && <small>{say.off}</small>}
              </th>
            ))}
            <th scope="col">{say.left}</th>
          </tr>
        </thead>
        <tbody>
          {data.wants.map((row) => (
            <WantRow key={row.id} row={row} devices={devices} thin={data.thin} least={data.least * 100} />
          ))}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{say.ofTheDay}</th>
            {devices.map(({ device, share, alone }) => (
              <td key={device}>
                {share > 0 && <strong>{say.share(String(Math.round(share * 100)))}</strong>}
                {alone.length > 0 && <small>{say.alone(alone.length)}</small>}
              </td>
            ))}
            <td />
          </tr>
        </tfoot>
      </table>
    </div>
  )
}

function WantRow(props: {
  row: Row
  devices: ReachData['devices']
  thin: ReachData['thin']
  /** So many in 100 must come out as meant. */
  least: number
}) {
  const { row, devices, thin, least } = props
  const ways = row.cells.filter(({ way }) => way !== null).length
  const isThin = thin.some(({ want }) => want === row.id)
  return (
    <tr>
      <th scope="row">
        {row.what}
        <small>
          {[
            word(row.importance),
            row.times === null ? say.timesOpen : say.times(row.times),
            say.wrong(word(row.wrong)),
          ].join(' · ')}
        </small>
      </th>
      {devices.map(({ device }) => {
        const cell = row.cells.find((one) => one.device === device)
        return (
          <td key={device} data-best={row.best === device}>
            {cell?.way ? (
              <Crossing way={cell.way} best={row.best === device} least={least} />
            ) : (
              <small>{cell?.why}</small>
            )}
          </td>
        )
      })}
      <td data-thin={ways === 0 || isThin}>
        <strong>{say.ways(ways)}</strong>
      </td>
    </tr>
  )
}

/** The figure, its bar and its words; never colour alone. */
function Crossing({ way, best, least }: { way: Way; best: boolean; least: number }) {
  const percent = Math.round(way.right * 100)
  return (
    <div className={styles.crossing}>
      <span>
        <strong>
          {say.presses(way.presses)} · {say.seconds(way.seconds.toFixed(1))}
        </strong>
        {best && <small className={styles.best}>{say.best}</small>}
      </span>
      <span className={styles.rate}>
        <meter
          min={0}
          max={100}
          low={least}
          high={least}
          optimum={100}
          value={percent}
          aria-label={say.right(String(percent))}
        />
        {say.right(String(percent))}
      </span>
      <small>
        {way.measured
          ? `${say.between(String(Math.round(way.low * 100)), String(Math.round(way.high * 100)))}, ${say.trials(way.trials)}`
          : say.unmeasured}
      </small>
      <small>{way.steps.map(({ words }) => words).join(' → ')}</small>
    </div>
  )
}
