export { CircuitsPage } from './CircuitsPage'
export { SheetPage } from './SheetPage'
