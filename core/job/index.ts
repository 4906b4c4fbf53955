export { setAllowance, setCloth, setFilling, setFoam, setGrade, setLayers, setLooseFibre, setReadings, setSeat, type Edit } from './edits.ts'
export { newJob, newSeat, reading, shapedSeat, type NewJobInput } from './new-job.ts'
