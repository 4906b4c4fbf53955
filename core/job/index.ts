export { mergeDocuments, type Merged } from './merge.ts'
export { mergeJobs, type MergedJobs } from './merge-jobs.ts'
export {
  setAllowance,
  setCloth,
  setClosure,
  setConstruction,
  setEdgeAllowance,
  setFilling,
  setFoam,
  setGrade,
  setLayers,
  setLooseFibre,
  setMakeUp,
  setOtherCloth,
  setReadings,
  setSeat,
  type Edit,
  USUAL_PIPING,
} from './edits.ts'
export {
  copyOf,
  newJob,
  newSeat,
  NO_FITTING,
  NO_MAKING,
  reading,
  shapedSeat,
  USUAL_TERMS,
  type NewJobInput,
} from './new-job.ts'
