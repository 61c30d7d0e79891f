/** The page's language, which way it is written, and what of it is put in other words: as the server says with the page. */
export const LOCALE = document.documentElement.lang || 'en'
export const DIRECTION = document.documentElement.dir === 'rtl' ? 'rtl' : 'ltr'

/** For times and numbers: as the browser has them where the page is in English, else as its language has them. */
export const OF_PEOPLE = LOCALE === 'en' ? undefined : LOCALE

/** Any one of these: "a, b, or c". */
export const either = (names: readonly string[]): string =>
  new Intl.ListFormat(LOCALE, { type: 'disjunction' }).format(names)
