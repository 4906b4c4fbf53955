import { slotOf } from '../seat/index.ts'
import { USUAL_FIBRE, usualFoam } from '../filling/index.ts'
import type { AllowanceBook, Cloth, Dimension, Filling, FoamFilling, Grade, Job, Layer, Seat } from '../../contract/index.ts'

/** A change of a job, said in words for the history. */
export interface Edit {
  readonly says: string
  readonly apply: (job: Job) => Job
}

/** Puts readings into a slot of the seat (`width`, `tapes.3`, `thickness`); an unknown slot changes nothing. */
export const setReadings = (slot: string, readings: Dimension['readings'], says: string): Edit =>
  setSeat(says, (seat) => slotOf(seat, slot)?.with({ readings }) ?? seat)

export const setSeat = (says: string, change: (seat: Seat) => Seat): Edit => ({ says, apply: (job) => ({ ...job, seat: change(job.seat) }) })

/** Another grade for the layer that takes what the others leave; a fibre filling becomes foam again. */
export const setGrade = (grade: Grade): Edit => ({
  says: `Foam ${grade.name}`,
  apply: (job) => {
    const { filling } = job
    if (filling.kind === 'loose-fibre') return { ...job, filling: { ...usualFoam(grade), load: filling.load, boardMm: filling.boardMm } }
    return { ...job, filling: { ...filling, layers: filling.layers.map((l) => (l.thicknessMm === null ? { ...l, grade } : l)) } }
  },
})

/** Loose fibre in a liner in place of foam, as usual. */
export const setLooseFibre: Edit = { says: 'Filled with loose fibre', apply: (job) => ({ ...job, filling: { kind: 'loose-fibre', load: job.filling.load, boardMm: job.filling.boardMm, ...USUAL_FIBRE } }) }

/** Changes a foam filling; on loose fibre there is nothing to change. */
export const setFoam = (says: string, change: (foam: FoamFilling) => FoamFilling): Edit => ({ says, apply: (job) => (job.filling.kind === 'foam' ? { ...job, filling: change(job.filling) } : job) })

/** Changes what the seat must carry, or what lies under it, whatever it is filled with. */
export const setFilling = (says: string, change: Partial<Pick<Filling, 'load' | 'boardMm'>>): Edit => ({ says, apply: (job) => ({ ...job, filling: { ...job.filling, ...change } }) })

/** Layers taken over as they are, from the board up: the thickest takes what the others leave. */
export function setLayers(says: string, layers: readonly { readonly grade: Grade; readonly thicknessMm: number }[]): Edit {
  const thickest = layers.reduce((best, l, i) => (l.thicknessMm > layers[best]!.thicknessMm ? i : best), 0)
  return setFoam(says, (foam) => ({ ...foam, layers: layers.map((l, i): Layer => ({ grade: l.grade, thicknessMm: i === thickest ? null : l.thicknessMm })) }))
}

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
