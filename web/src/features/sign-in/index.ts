export { OpenSessions } from './OpenSessions'
export { PasswordForm } from './PasswordForm'
export { SignIn } from './SignIn'
export { SignInPage } from './SignInPage'
