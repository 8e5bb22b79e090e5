export { CircuitsPage } from './library/CircuitsPage'
export { SheetPage } from './SheetPage'
