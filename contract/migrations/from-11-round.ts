import type { Document } from './document.ts'

/** Version 11 knew no round seats; all that it knew is as it was. */
export const withRound = (job: Document): Document => ({ ...job, version: 12 })
