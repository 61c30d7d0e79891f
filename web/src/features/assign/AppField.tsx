import { AutoComplete } from 'antd'
import { say } from './sentences'

interface App {
  value: string
  words: string
}

/** An app of the client's by its id, or any by its name: which one that is, the server knows. */
export type Named = string | { name: string }

/** One of the client's apps, or another by its name. */
export function AppField(props: {
  value: Named | undefined
  apps: App[]
  onChange: (app: Named | undefined) => void
  /** As the field names it. */
  id?: string
  'aria-describedby'?: string
}) {
  const { value, apps, onChange, ...named } = props
  const typed =
    typeof value === 'string'
      ? (apps.find((app) => app.value === value)?.words ?? value)
      : (value?.name ?? '')
  return (
    <AutoComplete
      {...named}
      value={typed}
      options={apps.map((app) => ({ value: app.words }))}
      filterOption={(words, option) => (option?.value ?? '').toLowerCase().includes(words.toLowerCase())}
      placeholder={say.oneTheseAnotherIts}
      onChange={(name) => onChange(name.trim() ? { name } : undefined)}
    />
  )
}
