export { PasswordForm } from './PasswordForm'
export { SignIn } from './SignIn'
export { SignInPage } from './SignInPage'
export { signOut } from './api'
