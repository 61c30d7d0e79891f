export { SignInPage } from './SignInPage'
