export { Bench } from './Bench'
export { BenchProvider } from './BenchProvider'
export type { Live } from './live'
export { useLive } from './benchContext'
