export { UnitList } from './UnitList'
export { NewUnitPage } from './NewUnitPage'
export { EditUnitPage } from './EditUnitPage'
