import type { Document } from './document.ts'

/** A grade of the time before its curve was known: one force at 40 %, one support factor. */
export function migrateGrade(grade: unknown): unknown {
  if (typeof grade !== 'object' || grade === null || !('hardnessN' in grade)) return grade
  const { hardnessN, supportFactor, ...others } = grade as Document
  return {
    ...others,
    at25N: null,
    at40N: hardnessN,
    at65N: null,
    supportFactor: typeof supportFactor === 'number' ? Math.max(1.2, supportFactor) : supportFactor,
    exposures: EXPOSURES[String(others['family'])] ?? ['indoors'],
    combustionModified: false,
    ageing: null,
  }
}

/** Where the families could be used when version 2 was written. */
const EXPOSURES: Readonly<Record<string, readonly string[]>> = {
  conventional: ['indoors', 'sun', 'damp'],
  'high-resilience': ['indoors', 'sun', 'damp'],
  memory: ['indoors', 'sun'],
  latex: ['indoors', 'damp'],
  'quick-dry': ['indoors', 'sun', 'damp', 'wet'],
  'closed-cell': ['indoors', 'sun', 'damp', 'wet'],
  rebond: ['indoors', 'sun'],
}
