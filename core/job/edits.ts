import { slotOf } from '../seat/index.ts'
import type { AllowanceBook, Cloth, Dimension, Grade, Job, Seat } from '../../contract/index.ts'

/** A change of a job, said in words for the history. */
export interface Edit {
  readonly says: string
  readonly apply: (job: Job) => Job
}

/** Puts readings into a slot of the seat (`width`, `tapes.3`, `thickness`); an unknown slot changes nothing. */
export const setReadings = (slot: string, readings: Dimension['readings'], says: string): Edit =>
  setSeat(says, (seat) => slotOf(seat, slot)?.with({ readings }) ?? seat)

export const setSeat = (says: string, change: (seat: Seat) => Seat): Edit => ({ says, apply: (job) => ({ ...job, seat: change(job.seat) }) })

export const setGrade = (grade: Grade): Edit => ({ says: `Foam ${grade.name}`, apply: (job) => ({ ...job, filling: { ...job.filling, grade } }) })

/** A new cloth keeps the direction; bands of the old one mean nothing on it. */
export const setCloth = (cloth: Cloth): Edit => ({
  says: `Cloth ${cloth.name}`,
  apply: (job) => ({ ...job, cloth: { ...job.cloth, cloth, match: cloth.pattern.kind === 'plain' ? { kind: 'none' } : { kind: 'matched', rule: { kind: 'band-on-centre', band: 0 } } } }),
})

/** Sets an allowance on this job alone; null goes back to the shop's book. */
export function setAllowance(name: keyof AllowanceBook, valueMm: number | null, says: string): Edit {
  return {
    says,
    apply: (job) => {
      const { [name]: _, ...others } = job.allowances.overrides
      return { ...job, allowances: { ...job.allowances, overrides: valueMm === null ? others : { ...others, [name]: valueMm } } }
    },
  }
}
