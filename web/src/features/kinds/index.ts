export { CarriesFields, type Carried } from './CarriesFields'
export { KindsPage } from './KindsPage'
export { documentOf, keep, useAsked, useServiceHosts, useServiceKinds } from './queries'
