export { BatteryPage } from './BatteryPage'
export { ShelfPage } from './ShelfPage'
