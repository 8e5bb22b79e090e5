export { SumsPage } from './SumsPage'
