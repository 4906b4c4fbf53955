export { machineCardFor, settingsWords } from './machine-card.ts'
export { isOtherThanPlanned, MEASURED_WORDS, plannedWith, type Measured } from './measured.ts'
export { minutesByKind, paceOf, ratesAtBench, ratesOf, stepMinutes, totalMinutes, unitsOf } from './minutes.ts'
export {
  clockWasSetBack,
  openGate,
  paused,
  progressOf,
  asMeasured,
  recordOf,
  setRecord,
  started,
  ticked,
  unticked,
  workedSeconds,
  type Progress,
} from './record.ts'
export { PARTS, type Part, type Sewing, type Step, type Work } from './step.ts'
export { ratedIn, WORK } from './work.ts'
export { orderFaults, workOrder } from './work-order.ts'
