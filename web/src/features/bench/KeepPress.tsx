import { useQueryClient } from '@tanstack/react-query'
import { Button, Select } from 'antd'
import { useCallback, useState } from 'react'
import { askAnew, allOf, api, must, type Intended, type Tile } from '../../shared/api'
import { Faults, useAnnounce, useTask } from '../../shared/ui'
import styles from './bench.module.css'
import { say, WANTED } from './sentences'

const MEANT: { value: Intended; label: string }[] = [
  { value: 'tap', label: WANTED.tap },
  { value: 'double_tap', label: WANTED.double_tap },
  { value: 'triple_tap', label: WANTED.triple_tap },
  { value: 'long_press', label: WANTED.long_press },
  { value: 'rest', label: WANTED.rest },
]
const CLICKS: { value: Intended; label: string }[] = [
  { value: 'click', label: say.meantClick },
  { value: 'double_click', label: say.meantDoubleClick },
  { value: 'drag', label: say.meantDrag },
]

/** A press that nobody was asked for counts in Tune too, once somebody says what it was. */
export function KeepPress({ client, tile }: { client: string; tile: Tile }) {
  const queries = useQueryClient()
  const announce = useAnnounce()
  const [meant, setMeant] = useState<Intended>()
  const [kept, setKept] = useState(false)
  const keep = useTask(
    useCallback(
      async (intended: Intended) => {
        const last = tile.touches.at(-1)
        const body = {
          stream: tile.key.slice(0, tile.key.indexOf('/')),
          button: tile.button,
          from_us: tile.began_us,
          to_us: last?.ended_us ?? last?.began_us ?? tile.began_us,
          intended,
        }
        await must(api.POST('/api/clients/{client}/kept', { params: { path: { client } }, body }))
        setKept(true)
        announce(say.keptForTune)
        void askAnew(queries, { queryKey: allOf('tuning', client) })
      },
      [client, tile, queries, announce],
    ),
  )
  if (kept) return <p role="status">{say.keptForTune}</p>
  return (
    <div className={styles.keep}>
      <label>
        {say.itWasMeantAs}
        <Select
          value={meant ?? null}
          onChange={(next: Intended | null) => setMeant(next ?? undefined)}
          placeholder={say.choose}
          popupMatchSelectWidth={false}
          options={[...MEANT, ...CLICKS]}
        />
      </label>
      <Button disabled={!meant} loading={keep.busy} onClick={() => meant && void keep.run(meant)}>
        {say.keepForTune}
      </Button>
      <Faults refused={keep.refused} />
    </div>
  )
}
