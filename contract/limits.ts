import { LARGEST_ALLOWANCE_MM, LONGEST_MM } from './lengths.ts'
import { LEAST_GAP_MM, MOST_CUSHIONS, MOST_GAP_MM, MOST_LEAN_DEG, MOST_OVERHANG_MM, MOST_SWEEP_DEG } from './seat.ts'

/** The most that a job file takes, so that a typed line can refuse more in words. */
export const JOB_LIMITS = {
  longestMm: LONGEST_MM,
  largestAllowanceMm: LARGEST_ALLOWANCE_MM,
  mostCushions: MOST_CUSHIONS,
  mostLeanDegrees: MOST_LEAN_DEG,
  mostSweepDegrees: MOST_SWEEP_DEG,
  mostOverhangMm: MOST_OVERHANG_MM,
  leastGapMm: LEAST_GAP_MM,
  mostGapMm: MOST_GAP_MM,
} as const
