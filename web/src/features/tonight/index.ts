export { TonightPage } from './TonightPage'
