export { SignIn } from './SignIn'
export { SignInPage } from './SignInPage'
