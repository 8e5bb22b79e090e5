export { UnitSheetPage } from './UnitSheetPage'
