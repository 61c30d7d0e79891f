import { AutoComplete } from 'antd'
import { useState } from 'react'

interface App {
  value: string
  words: string
}

/** The id that stands for an app by its name: “Open letterbox” is open-letterbox. */
export const idOf = (name: string) =>
  name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[\u0300-\u036f’']/g, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 64)

/** One of the client's apps, or another by its name. */
export function AppField(props: {
  value: string | undefined
  apps: App[]
  onChange: (app: string | undefined) => void
  /** As the field names it. */
  id?: string
  'aria-describedby'?: string
}) {
  const { value, apps, onChange, ...named } = props
  const [typed, setTyped] = useState(() => apps.find((app) => app.value === value)?.words ?? value ?? '')
  const known = (name: string) => apps.find((app) => app.words.toLowerCase() === name.trim().toLowerCase())
  return (
    <AutoComplete
      {...named}
      value={typed}
      options={apps.map((app) => ({ value: app.words }))}
      filterOption={(words, option) => (option?.value ?? '').toLowerCase().includes(words.toLowerCase())}
      placeholder="One of these, or another by its name"
      onChange={(name) => {
        setTyped(name)
        onChange(known(name)?.value ?? (idOf(name) || undefined))
      }}
    />
  )
}
