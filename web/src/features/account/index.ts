export { OpenSessions } from './OpenSessions'
export { PasswordForm } from './PasswordForm'
