export { PartPage } from './PartPage'
