export { SessionEnds } from './SessionEnds'
export { SignInAgain } from './SignInAgain'
export { SignInPage } from './SignInPage'
