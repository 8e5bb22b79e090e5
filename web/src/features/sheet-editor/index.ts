export { EditorPage } from './EditorPage'
