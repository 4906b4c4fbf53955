export { setAllowance, setCloth, setGrade, setReadings, setSeat, type DimensionName, type Edit } from './edits.ts'
export { newJob, newSeat, type NewJobInput } from './new-job.ts'
