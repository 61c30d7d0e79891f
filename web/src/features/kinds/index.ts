export { CarriesFields, type Carried } from './CarriesFields'
export { KindsPage } from './KindsPage'
export { documentOf, keep, useAsked, useServiceKinds } from './queries'
