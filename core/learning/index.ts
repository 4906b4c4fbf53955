export { LEAST_LOGS, spreadOf, type Spread } from './bias.ts'
export {
  evidenceOf,
  joined,
  type ClothEvidence,
  type Evidence,
  type FitEvidence,
  type TimeEvidence,
} from './evidence.ts'
export { proposals, type Proposal } from './proposals.ts'
export { learnedFor, reserveFor, setLearned, wasteFactor } from './use-learned.ts'
export { correctedGrade } from './corrected-grade.ts'
