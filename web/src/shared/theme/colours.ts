/** The estuary by day: every colour Kippen uses, once. A style sheet has them as --bar-quiet and so on. */
const day = {
  paper: '#F6F4EE',
  sand: '#ECE7DC',
  white: '#FFFFFF',
  card: '#FCFAF5',
  ink: '#1E2B2F',
  /** What bears a name or leads on: lines, words, edges. */
  marsh: '#2C6453',
  marshPale: '#DCE7E0',
  /** What is pressed to get something done, and the words on it. */
  fill: '#2C6453',
  onFill: '#FFFFFF',
  heron: '#3A5A7A',
  heronPale: '#D8E0EC',
  clay: '#A8472A',
  clayPale: '#F5E6DA',
  samphire: '#6E8B2F',
  samphireBright: '#B4CF72',
  mud: '#8A7F70',
  /** Mud dark enough to be read as text. */
  mudText: '#5C5346',
  line: '#C9C1B1',
  bench: '#E3E9E4',
  stretchNew: '#F0ECE2',
  hatch: '#D8CFBE',
  hatchBetween: '#EFEADF',
  /** The band at the top, dark by day and by night. */
  bar: '#1E2B2F',
  onBar: '#F6F4EE',
  barQuiet: '#D5D0C4',
  barOff: '#A9B2B0',
  barLine: '#5B686B',
  barAlarm: '#F3CBBD',
  barCount: '#E8D9B8',
  onBarCount: '#1E2B2F',
  water: '#9DB9D4',
  alarm: '#8C1D18',
} as const

export type Colours = Record<keyof typeof day, string>

/** The same by night. */
const night: Colours = {
  paper: '#151E20',
  sand: '#202B2E',
  white: '#26343A',
  card: '#1C272A',
  ink: '#EDE9DE',
  marsh: '#8CCBB1',
  marshPale: '#22413A',
  fill: '#2F7863',
  onFill: '#FFFFFF',
  heron: '#9DB9D4',
  heronPale: '#26374A',
  clay: '#F0A286',
  clayPale: '#43291F',
  samphire: '#A8C766',
  samphireBright: '#B4CF72',
  mud: '#93897A',
  mudText: '#C4BBAB',
  line: '#445054',
  bench: '#1B2A29',
  stretchNew: '#242A29',
  hatch: '#45433B',
  hatchBetween: '#262B2A',
  bar: '#0C1314',
  onBar: '#F6F4EE',
  barQuiet: '#D5D0C4',
  barOff: '#8E9896',
  barLine: '#5B686B',
  barAlarm: '#F3CBBD',
  barCount: '#E8D9B8',
  onBarCount: '#1E2B2F',
  water: '#9DB9D4',
  alarm: '#8C1D18',
}

export const THEMES = { light: day as Colours, dark: night } as const

export type Light = keyof typeof THEMES
