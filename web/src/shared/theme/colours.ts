/** The estuary: every colour Kippen uses. */
export const colours = {
  paper: '#F6F4EE',
  sand: '#ECE7DC',
  white: '#FFFFFF',
  ink: '#1E2B2F',
  marsh: '#2C6453',
  marshPale: '#DCE7E0',
  heron: '#3A5A7A',
  heronPale: '#D8E0EC',
  clay: '#A8472A',
  samphire: '#6E8B2F',
  samphireBright: '#B4CF72',
  mud: '#8A7F70',
  /** Mud dark enough to be read as text. */
  mudText: '#5C5346',
  line: '#C9C1B1',
} as const
