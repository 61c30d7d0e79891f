export { ServicePage } from './ServicePage'
