import { parse } from '@formatjs/icu-messageformat-parser'
import type { Plugin } from 'vite'

/** A sentence with more than names in braces: plural, select, number. */
const RICH = /counted\(\s*(?:'((?:[^'\\]|\\.)*)'|"((?:[^"\\]|\\.)*)")/g

const PARSER = '@formatjs/icu-messageformat-parser'

/**
 * Reads the sentences when the pages are built, so that the library's reader, four fifths of it, is needed only where
 * a page speaks another language.
 */
export function sentencesRead(): Plugin {
  return {
    name: 'sentences-read',
    enforce: 'pre',
    resolveId(source, importer) {
      if (source !== PARSER || !importer?.includes('/intl-messageformat/')) return null
      return this.resolve(`${PARSER}/no-parser.js`, importer)
    },
    transform(code, id) {
      if (!id.endsWith('sentences.ts')) return null
      return code.replace(
        RICH,
        (_, single?: string, double?: string) => `counted(${JSON.stringify(read(single ?? double ?? ''))}`,
      )
    },
  }
}

const read = (message: string) =>
  parse(message.replaceAll("\\'", "'"), { ignoreTag: true, shouldParseSkeletons: false })
