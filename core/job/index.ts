export { mergeDocuments, type Merged } from './merge.ts'
export { mergeJobs, type MergedJobs } from './merge-jobs.ts'
export {
  setAllowance,
  setCloth,
  setClosure,
  setConstruction,
  setCutting,
  setEdgeAllowance,
  setFilling,
  setFoam,
  setInsert,
  setGrade,
  setLayers,
  setLooseFibre,
  setMakeUp,
  setOtherCloth,
  setReadings,
  setSeat,
  type Edit,
  USUAL_PIPING,
  setPicture,
} from './edits.ts'
export { keepBody, setThere, setWork } from './there-edits.ts'
export {
  copyOf,
  newJob,
  newPartJob,
  newSeat,
  usualDivision,
  NO_FITTING,
  NO_MAKING,
  reading,
  shapedSeat,
  USUAL_TERMS,
  type NewJobInput,
} from './new-job.ts'
export { discSeat, halfDiscSeat } from './round-seats.ts'
export {
  addPart,
  allLieAs,
  cushionKey,
  firstPart,
  freeLetter,
  MOST_PARTS,
  movePart,
  partFrom,
  removePart,
  setOwnCloth,
  usualName,
  type JobEdit,
} from './parts.ts'
export { freshPart, partBeside, STARTERS, startPart, USUAL_POSES, type Starter } from './starters.ts'
export { applyEdit, inEveryPart, jobOf, partJob, partJobs, partName, withPart } from './part-job.ts'
