import type { Locale } from 'antd/es/locale'
import { LOCALE } from './locale'

const FILES = import.meta.glob<{ default: Locale }>('../../../node_modules/antd/es/locale/*_*.js')

/** What the component library says by itself, in the page's language; undefined: in English, or in one that it lacks. */
export async function libraryWords(): Promise<Locale | undefined> {
  const [language = '', region = ''] = LOCALE.split('-')
  if (language === 'en') return undefined
  const names = Object.keys(FILES)
  const found =
    names.find((name) => name.endsWith(`/${language}_${region.toUpperCase()}.js`)) ??
    names.find((name) => name.includes(`/${language}_`))
  return found === undefined ? undefined : (await FILES[found]?.())?.default
}
