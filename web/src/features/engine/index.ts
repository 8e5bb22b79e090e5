export { EnginePage } from './EnginePage'
export { CapLabelsPage } from './cap/CapLabelsPage'
