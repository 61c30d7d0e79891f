export { THEMES } from './colours'
export { chooseLight, useLight, useLightChoice, type LightChoice } from './light'
export { themeFor } from './theme'
