export { counted } from './counted'
export { speak } from './catalogue'
export { DIRECTION, either, LOCALE, OF_PEOPLE } from './locale'
export { fill, sentences, written } from './sentences'
