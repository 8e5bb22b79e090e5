export { JobBenchPage } from './JobBenchPage'
export { JobDrawingPage } from './drawing/JobDrawingPage'
