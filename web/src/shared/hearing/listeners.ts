import { say } from './sentences'

/** What a browser that somebody works with is called where it is kept: a name of no language. */
export const BROWSER = 'browser'

/** A listener that is not this browser itself, as it is said. */
export const listenerName = (name: string): string => (name === BROWSER ? say.anotherBrowser : name)
