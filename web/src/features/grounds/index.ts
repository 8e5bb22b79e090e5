export { GroundsPage } from './GroundsPage'
