export { TagPage } from './TagPage'
