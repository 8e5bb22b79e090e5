export { JobList } from './JobList'
export { NewJobPage } from './NewJobPage'
