export { check } from './step'
export { useCheck } from './queries'
