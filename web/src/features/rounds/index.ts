export { RoundPage } from './RoundPage'
