import type { AllowanceBook, Cloth, Grade, Job, Seat } from '../../contract/index.ts'

export interface NewJobInput {
  readonly ticket: string
  readonly title: string
  readonly units: Job['units']
  readonly currency: string
  readonly book: AllowanceBook
  readonly grade: Grade
  readonly cloth: Cloth
  readonly seat: Seat
}

/** A job with the shop's usual choices; everything can be changed afterwards. */
export function newJob(input: NewJobInput): Job {
  return {
    format: 'loft-seam/job',
    version: 1,
    ticket: input.ticket,
    title: input.title,
    customer: '',
    note: '',
    units: input.units,
    currency: input.currency,
    seat: input.seat,
    filling: { grade: input.grade, school: { kind: 'full-block', thicknessExtraMm: 0 } },
    makeUp: { kind: 'boxed', boxing: 'one-per-side', piping: { rows: 'none' } },
    cloth: { cloth: input.cloth, direction: 'up-the-roll', match: input.cloth.pattern.kind === 'stripes' ? { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } } : { kind: 'none' }, sideBoxing: 'upright' },
    allowances: { book: input.book, overrides: {} },
    lay: null,
  }
}

/** One reading each, everything open round it, the near side in front. */
export function newSeat(kind: 'bench' | 'singles', widthMm: number, depthMm: number, thicknessMm: number, count: number): Seat {
  const reading = (mm: number) => ({ readings: [{ mm }] })
  const base = {
    width: reading(widthMm),
    depth: reading(depthMm),
    thickness: reading(thicknessMm),
    front: 'near' as const,
    roles: { near: 'open', right: 'open', far: 'open', left: 'open' } as const,
    clearanceMm: 3,
    count,
  }
  return kind === 'bench' ? { kind, ...base, gapMm: 0 } : { kind, ...base }
}
