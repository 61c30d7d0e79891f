import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const SRC = join(import.meta.dirname, '../..')

/** What is drawn to scale has measures of its own. */
const DRAWINGS = [
  'features/lanes/axis.module.css',
  'features/lanes/boundary.module.css',
  'features/lanes/chip.module.css',
  'features/lanes/lanes.module.css',
  'features/lanes/regions.module.css',
  'features/tune/compared.module.css',
  'features/tune/marks.module.css',
  'features/tune/picture.module.css',
  'shared/prompt/prompt.module.css',
  'shared/screen/screen.module.css',
]
const TOKENS = 'shared/theme/tokens.css'
/** Widths at which the page becomes another. */
const CONDITION = /^\s*@(media|container)/

const sheets = readdirSync(SRC, { recursive: true, encoding: 'utf8' }).filter((one) => one.endsWith('.css'))
const linesOf = (sheet: string) => readFileSync(join(SRC, sheet), 'utf8').split('\n')
const found = (wrong: (line: string) => boolean) =>
  sheets
    .filter((sheet) => sheet !== TOKENS)
    .flatMap((sheet) => linesOf(sheet).flatMap((line) => (wrong(line) ? [`${sheet}: ${line.trim()}`] : [])))

it('measures nothing in pixels but in the tokens and in drawings', () => {
  const inPixels = (line: string) => /[\d.]px/.test(line) && !CONDITION.test(line)
  expect(found(inPixels).filter((one) => !DRAWINGS.some((drawing) => one.startsWith(`${drawing}:`)))).toEqual(
    [],
  )
})

it('has six sizes of type, and no other but where a prompt is as large as its place', () => {
  const other = (line: string) => /^\s*font-size: (?!var\(--size-|clamp\(|inherit)/.test(line)
  expect(found(other).filter((one) => !DRAWINGS.some((drawing) => one.startsWith(`${drawing}:`)))).toEqual([])
})

it('knows every token that it uses', () => {
  const tokens = new Set(linesOf(TOKENS).flatMap((line) => /^\s*(--[a-z0-9-]+):/.exec(line)?.[1] ?? []))
  const used = sheets.flatMap(
    (sheet) => readFileSync(join(SRC, sheet), 'utf8').match(/--(space|size|round|edge)-[a-z0-9]+/g) ?? [],
  )
  expect([...new Set(used)].filter((one) => !tokens.has(one))).toEqual([])
})

/** Of a page or a part of it. The bench’s line of what is under way has one of its own. */
const WIDTHS = ['560px', '700px', '960px']

it('becomes another page at three widths', () => {
  const other = (line: string) =>
    CONDITION.test(line) &&
    !line.includes(' now ') &&
    (line.match(/\d+px/g) ?? []).some((one) => !WIDTHS.includes(one))
  expect(found(other)).toEqual([])
})

it('has no sheet of more than 250 lines', () => {
  expect(sheets.filter((sheet) => linesOf(sheet).length > 250)).toEqual([])
})
