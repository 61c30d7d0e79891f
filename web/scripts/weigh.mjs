// What the pages weigh, gzipped, without the font: what is loaded for each before anything is opened. After `npm run build`.
// Says so, and fails, where one is heavier than it may be.
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'

const DIST = join(import.meta.dirname, '../dist')
const parts = JSON.parse(readFileSync(join(DIST, '.vite/manifest.json'), 'utf8'))

const ALL = ['index.html', 'src/deskApp.tsx']
const DESK = [...ALL, 'src/SignedIn.tsx', 'src/features/desk/index.ts']
const step = (path) => [...DESK, `src/features/${path}.tsx`]

/** By page: what it begins with, and the most it may weigh, in kB. */
const PAGES = {
  'signing in': [[...ALL, 'src/features/signin/index.ts'], 150],
  caseload: [[...ALL, 'src/SignedIn.tsx', 'src/features/caseload/index.ts'], 280],
  Wants: [step('wants/WantsStep'), 280],
  Devices: [step('devices/DevicesStep'), 280],
  Assign: [step('lanes/AssignStep'), 280],
  Tune: [step('tune/TuneStep'), 280],
  Check: [step('check/CheckStep'), 280],
  'Hand over': [step('handover/HandOverStep'), 280],
  'Follow-up': [step('followup/FollowUpStep'), 280],
  joining: [['index.html', 'src/joinApp.tsx'], 90],
}

function filesOf(entries) {
  const seen = new Set()
  const files = new Set()
  const take = (name) => {
    if (seen.has(name)) return
    seen.add(name)
    const part = parts[name]
    if (!part) throw new Error(`The build has no part ${name}`)
    for (const file of [part.file, ...(part.css ?? [])]) files.add(file)
    part.imports?.forEach(take)
  }
  entries.forEach(take)
  return [...files]
}

const kB = (file) => gzipSync(readFileSync(join(DIST, file)), { level: 9 }).length / 1000
let heavy = false
for (const [page, [entries, most]] of Object.entries(PAGES)) {
  const weight = filesOf(entries).reduce((sum, file) => sum + kB(file), 0)
  if (weight > most) heavy = true
  console.log(`${page}: ${weight.toFixed(1)} kB of ${most}${weight > most ? ', too heavy' : ''}`)
}
process.exit(heavy ? 1 : 0)
