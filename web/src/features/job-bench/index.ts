export { JobBenchPage } from './JobBenchPage'
export { JobDrawingPage } from './JobDrawingPage'
