import { Button, Checkbox, Select } from 'antd'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { api, keys, must, type PaperData } from '../../shared/api'
import { Waiting } from '../../shared/plain'
import { OF_PEOPLE } from '../../shared/text'
import { Field, useTitle } from '../../shared/ui'
import { ButtonCard } from './ButtonCard'
import { SettingsSheet } from './SettingsSheet'
import { say } from './sentences'
import styles from './paper.module.css'

const WHEN = new Intl.DateTimeFormat(OF_PEOPLE, { dateStyle: 'long', timeStyle: 'short' })

/** The fitting on paper: the button card, or the settings sheet. All of how it is shown stands in the address. */
export function PaperPage() {
  const { client = '', what = 'card' } = useParams()
  const [search, setSearch] = useSearchParams()
  const { data, error } = useQuery({
    queryKey: keys.paper(client),
    queryFn: () => must(api.GET('/api/clients/{client}/paper', { params: { path: { client } } })),
  })
  const only = search.get('only')?.split(',') ?? []
  const size = search.get('size') === 'letter' ? 'letter' : 'a4'
  const title = data && (what === 'card' ? say.cardOf(data.client) : say.settingsOf(data.client))
  useTitle(title ?? say.onPaper)
  const set = (name: string, value: string | undefined) => {
    const next = new URLSearchParams(search)
    if (value) next.set(name, value)
    else next.delete(name)
    setSearch(next, { replace: true })
  }
  return (
    <div
      className={styles.page}
      data-large={search.has('large')}
      data-plain={search.has('plain')}
      data-size={size}
    >
      <style>{`@page { size: ${size}; margin: 14mm }`}</style>
      <nav className={styles.bar} aria-label={say.onPaper}>
        <Link to={`/clients/${client}/handover`}>{say.back}</Link>
        <Field label={say.onPaper}>
          <Select
            value={size}
            onChange={(value) => set('size', value === 'a4' ? undefined : value)}
            options={[
              { value: 'a4', label: say.a4 },
              { value: 'letter', label: say.letter },
            ]}
          />
        </Field>
        <Field label={say.devices}>
          <Select
            mode="multiple"
            value={only}
            placeholder={say.all}
            onChange={(value) => set('only', value.join(','))}
            options={data?.hosts.flatMap(({ devices }) =>
              devices.map(({ id, name }) => ({ value: id, label: name })),
            )}
          />
        </Field>
        <Checkbox
          checked={search.has('large')}
          onChange={(event) => set('large', event.target.checked ? '1' : undefined)}
        >
          {say.large}
        </Checkbox>
        <Checkbox
          checked={search.has('plain')}
          onChange={(event) => set('plain', event.target.checked ? '1' : undefined)}
        >
          {say.plain}
        </Checkbox>
        <Button type="primary" href={pdfOf(client, what, search)}>
          {say.pdf}
        </Button>
        <Button onClick={() => window.print()}>{say.print}</Button>
        <p>{say.how}</p>
      </nav>
      <main className={styles.paper}>
        {error && <p role="alert">{error.message}</p>}
        {!data && !error && <Waiting />}
        {data && (
          <>
            <h1>{title}</h1>
            <Sheet what={what} paper={chosen(data, only)} />
            <footer>
              {say.stamped(String(data.revision), WHEN.format(new Date(data.saved_at)), data.by)} ·{' '}
              {say.printed(WHEN.format(new Date()))}
            </footer>
          </>
        )}
      </main>
    </div>
  )
}

/** Where the same is had as PDF. */
function pdfOf(client: string, what: string, search: URLSearchParams): string {
  const asked = new URLSearchParams({ what: what === 'card' ? 'card' : 'settings' })
  for (const name of ['large', 'plain']) if (search.has(name)) asked.set(name, 'true')
  for (const name of ['size', 'only']) {
    const value = search.get(name)
    if (value) asked.set(name, value)
  }
  return `/api/clients/${client}/pdf?${asked.toString()}`
}

function Sheet({ what, paper }: { what: string; paper: PaperData }) {
  return what === 'card' ? <ButtonCard paper={paper} /> : <SettingsSheet paper={paper} />
}

/** Only what is on some devices. */
function chosen(paper: PaperData, only: string[]): PaperData {
  if (only.length === 0) return paper
  const hosts = paper.hosts.map((host) => ({
    ...host,
    devices: host.devices.filter(({ id }) => only.includes(id)),
  }))
  return { ...paper, hosts: hosts.filter(({ devices }) => devices.length > 0) }
}
