export { HouseRulesPage } from './HouseRulesPage'
