export {
  adviseFoam,
  THINNEST_MM,
  thinnestWorkable,
  type Advice,
  type Aim,
  type AdviceQuestion,
  type Candidate,
  type Rejected,
  type Relaxation,
} from './advice.ts'
export { estimateFoam, gradeFromTest, type FoamEstimate, type FoamTestFault, type NearGrade } from './foam-test.ts'
export { sitterOn, type SitterFound } from './sitter.ts'
export { startGrade } from './start-grade.ts'
export { judgeBody, MOST_LOST, type OldFoamReason, type OldFoamVerdict } from './old-foam.ts'
export { MOST_SHEETS, nearestStack, stackFor } from './stacks.ts'
export { isCalm, isMatterOfTaste, judgeStack, type Doubt, type Failure, type Feel, type Verdict } from './verdict.ts'
export {
  doubtWords,
  EXPOSURE_WORDS,
  failureWords,
  FEEL_WORDS,
  layerWords,
  OLD_FOAM_WORDS,
  percent,
  personWords,
  relaxationWords,
  STANDING_WORDS,
  trialWords,
  UNKNOWN_WORDS,
  verdictWords,
} from './words.ts'
