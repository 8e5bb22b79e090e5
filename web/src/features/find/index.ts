export { FindBox } from './FindBox'
