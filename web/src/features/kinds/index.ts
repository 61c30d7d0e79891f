export { CarriesFields, type Carried } from './CarriesFields'
export { kindsPage } from './lazy'
export { documentOf, keep, useAsked, useServiceHosts, useServiceKinds } from './queries'
