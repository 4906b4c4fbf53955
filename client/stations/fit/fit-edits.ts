import { phrase } from '../../../core/language/index.ts'
import type { CushionFit, Fitting } from '../../../contract/index.ts'
import type { Edit } from '../../../core/job/index.ts'

export const UNMEASURED = (day: string): CushionFit => ({
  day,
  widthMm: null,
  depthMm: null,
  thicknessMm: null,
  verdict: 'unknown',
  leftAbove: null,
  wrinkles: '',
  stripesOffMm: null,
})

/** Changes what was noted of one cushion, by its number. */
export const setFit = (number: string, day: string, change: Partial<CushionFit>): Edit => ({
  says: phrase`Fit of cushion ${number}`,
  apply: (job) => ({
    ...job,
    fitting: {
      ...job.fitting,
      fits: { ...job.fitting.fits, [number]: { ...(job.fitting.fits[number] ?? UNMEASURED(day)), ...change } },
    },
  }),
})

export const setFitting = (says: string, change: (fitting: Fitting) => Partial<Fitting>): Edit => ({
  says,
  apply: (job) => ({ ...job, fitting: { ...job.fitting, ...change(job.fitting) } }),
})
