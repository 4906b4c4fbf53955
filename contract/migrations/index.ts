import type { Document } from './document.ts'
import { withShapedSeat } from './from-1-shaped-seats.ts'
import { withJudgedFilling } from './from-2-judged-filling.ts'
import { withManyMakeUps } from './from-3-many-make-ups.ts'
import { withAnyPattern } from './from-4-any-pattern.ts'
import { withWork } from './from-5-with-work.ts'
import { withParts } from './from-6-with-parts.ts'
import { withRoundSitters } from './from-7-round-sitters.ts'
import { withWhatIsThere } from './from-8-what-is-there.ts'
import { withJoins } from './from-9-joins.ts'
import { withPlaces } from './from-10-places.ts'
import { withRound } from './from-11-round.ts'
import { withStrips } from './from-12-strips.ts'

export { migrateCloth } from './cloth.ts'
export { migrateGrade } from './grade.ts'
export { migrateBook, migrateSettings } from './settings.ts'

/** One step for each older version, in order. A step is never changed again, and uses nothing that still changes. */
const STEPS: readonly (readonly [from: number, step: (document: Document) => Document])[] = [
  [1, withShapedSeat],
  [2, withJudgedFilling],
  [3, withManyMakeUps],
  [4, withAnyPattern],
  [5, withWork],
  [6, withParts],
  [7, withRoundSitters],
  [8, withWhatIsThere],
  [9, withJoins],
  [10, withPlaces],
  [11, withRound],
  [12, withStrips],
]

/**
 * Brings a job document of an older version to the present one, step by step. What does not look like the old format
 * is handed on as it is, for the schema to name the fault.
 */
export const migrateJob = (document: Document): Document =>
  STEPS.reduce((now, [from, step]) => (now['version'] === from ? step(now) : now), document)
