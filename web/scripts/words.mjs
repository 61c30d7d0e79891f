// All that the pages say, by key, in dist/sentences.json: what a translation is made from, and what the stories look things up by.
import { readdirSync, writeFileSync } from 'node:fs'
import { createServer } from 'vite'

globalThis.document = { documentElement: { lang: '', dir: '', dataset: {} } }
const server = await createServer({
  configFile: false,
  logLevel: 'error',
  server: { middlewareMode: true, ws: false },
})
const { isFilled, written } = await server.ssrLoadModule('/src/shared/text/sentences.ts')
const files = readdirSync('src', { recursive: true }).filter((name) => /(^|[/.])sentences\.ts$/.test(name))
for (const file of files.sort()) await server.ssrLoadModule(`/src/${file}`)
await server.close()

const told = (key, one) => {
  if (typeof one === 'string') return [[key, one]]
  if (isFilled(one)) return [[key, one.message]]
  return Object.entries(one).map(([name, word]) => [`${key}.${name}`, word])
}
const words = Object.entries(written).flatMap(([scope, all]) =>
  Object.entries(all).flatMap(([name, one]) => told(`${scope}.${name}`, one)),
)
writeFileSync('dist/sentences.json', `${JSON.stringify(Object.fromEntries(words), null, 1)}\n`)
