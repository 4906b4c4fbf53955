export { setAllowance, setCloth, setClosure, setConstruction, setEdgeAllowance, setFilling, setFoam, setGrade, setLayers, setLooseFibre, setMakeUp, setOtherCloth, setReadings, setSeat, type Edit, USUAL_PIPING } from './edits.ts'
export { copyOf, newJob, newSeat, reading, shapedSeat, type NewJobInput } from './new-job.ts'
