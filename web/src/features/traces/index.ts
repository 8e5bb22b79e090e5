export { TracesPage } from './TracesPage'
