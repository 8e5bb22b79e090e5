export { JobBenchPage } from './JobBenchPage'
