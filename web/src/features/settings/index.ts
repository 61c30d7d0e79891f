export { SettingsSheet, type SettingsOf } from './SettingsSheet'
