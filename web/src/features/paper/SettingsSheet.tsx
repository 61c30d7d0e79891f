import type { PaperData } from '../../shared/api'
import { say } from './sentences'
import styles from './paper.module.css'

/** Host by host and device by device: what is set, where to look for it, how one sees that it took. */
export function SettingsSheet({ paper }: { paper: PaperData }) {
  return paper.hosts.flatMap((host) =>
    host.devices.map((device) => (
      <section key={device.id} className={styles.device} aria-label={device.name}>
        <h2>
          <bdi>{device.name}</bdi> <small>{host.name}</small>
        </h2>
        {device.lines.length === 0 ? (
          <p>{say.nothingSet}</p>
        ) : (
          <table>
            <thead>
              <tr>
                <th scope="col">{say.what}</th>
                <th scope="col">{say.value}</th>
                <th scope="col">{say.where}</th>
                <th scope="col">{say.see}</th>
                <th scope="col">{say.undo}</th>
                <th scope="col">{say.done}</th>
              </tr>
            </thead>
            <tbody>
              {device.lines.map((line) => (
                <tr key={line.key}>
                  <th scope="row">{line.what}</th>
                  <td>
                    <strong>{line.value}</strong>
                  </td>
                  <td>{line.where}</td>
                  <td>{line.see}</td>
                  <td>{line.undo}</td>
                  <td aria-hidden="true">□</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    )),
  )
}
