import { phrase } from '../language/index.ts'
import { usualMatch } from '../pattern/index.ts'
import { cushionsOf, SIDES, slotOf } from '../seat/index.ts'
import { newLayer, USUAL_FIBRE, usualFoam } from '../filling/index.ts'
import { CLOSURES, MAKE_UPS, rebuilt } from '../cover/index.ts'
import type {
  AllowanceBook,
  Cloth,
  ClothRole,
  Closure,
  Construction,
  Cutting,
  Dimension,
  Filling,
  FoamFilling,
  Grade,
  PartJob,
  MakeUp,
  Piping,
  Seat,
} from '../../contract/index.ts'

/** A change of a ticket as one of its parts sees it, said in words for the history. */
export interface Edit {
  readonly says: string
  readonly apply: (job: PartJob) => PartJob
}

/** Puts readings into a slot of the seat (`width`, `tapes.3`, `thickness`); an unknown slot changes nothing. */
export const setReadings = (slot: string, readings: Dimension['readings'], says: string): Edit =>
  setSeat(says, (seat) => slotOf(seat, slot)?.with({ readings }) ?? seat)

export const setSeat = (says: string, change: (seat: Seat) => Seat): Edit => ({
  says,
  apply: (job) => ({ ...job, seat: change(job.seat) }),
})

/** Another grade for the layer that takes what the others leave; a fibre filling becomes foam again. */
export const setGrade = (grade: Grade): Edit => ({
  says: phrase`Foam ${grade.name}`,
  apply: (job) => {
    const { filling } = job
    if (filling.kind !== 'foam')
      return { ...job, filling: { ...usualFoam(grade), load: filling.load, boardMm: filling.boardMm } }
    return {
      ...job,
      filling: {
        ...filling,
        layers: filling.layers.map((l) => (l.thicknessMm === null && l.body === null ? { ...l, grade } : l)),
      },
    }
  },
})

/** Loose fibre in a liner in place of foam, as usual. */
export const setLooseFibre: Edit = {
  says: 'Filled with loose fibre',
  apply: (job) => ({
    ...job,
    filling: { kind: 'loose-fibre', load: job.filling.load, boardMm: job.filling.boardMm, trials: [], ...USUAL_FIBRE },
  }),
}

/** A ready-made insert in place of foam: as large as the cushion until it is told. */
export const setInsert = (size: {
  readonly widthMm: number
  readonly depthMm: number
  readonly thicknessMm: number
}): Edit => ({
  says: 'A ready-made insert',
  apply: (job) => ({
    ...job,
    filling: {
      kind: 'insert',
      load: job.filling.load,
      boardMm: job.filling.boardMm,
      name: '',
      flatWidthMm: size.widthMm,
      flatDepthMm: size.depthMm,
      filledMm: size.thicknessMm,
      massKg: null,
      price: 0,
    },
  }),
})

/** Changes a foam filling; on loose fibre there is nothing to change. */
export const setFoam = (says: string, change: (foam: FoamFilling) => FoamFilling): Edit => ({
  says,
  apply: (job) => (job.filling.kind === 'foam' ? { ...job, filling: change(job.filling) } : job),
})

/** Changes how the foam of all parts is cut. */
export const setCutting = (says: string, change: Partial<Cutting>): Edit => ({
  says,
  apply: (job) => ({ ...job, cutting: { ...job.cutting, ...change } }),
})

/** Changes what the seat must carry, or what lies under it, whatever it is filled with. */
export const setFilling = (says: string, change: Partial<Pick<Filling, 'load' | 'boardMm'>>): Edit => ({
  says,
  apply: (job) => ({ ...job, filling: { ...job.filling, ...change } }),
})

/** Layers taken over as they are, from the board up: the thickest takes what the others leave. */
export function setLayers(
  says: string,
  layers: readonly { readonly grade: Grade; readonly thicknessMm: number }[],
): Edit {
  const thickest = layers.reduce((best, l, i) => (l.thicknessMm > layers[best]!.thicknessMm ? i : best), 0)
  return setFoam(says, (foam) => ({
    ...foam,
    layers: layers.map((l, i) => newLayer(l.grade, i === thickest ? null : l.thicknessMm)),
  }))
}

/** A new cloth keeps the direction; bands of the old one mean nothing on it. */
export const setCloth = (cloth: Cloth): Edit => ({
  says: phrase`Cloth ${cloth.name}`,
  apply: (job) => ({ ...job, cloth: { ...job.cloth, cloth, match: usualMatch(cloth) } }),
})

/** Changes the make-up, whatever it is. */
export const setMakeUp = (says: string, change: (makeUp: MakeUp) => MakeUp): Edit => ({
  says,
  apply: (job) => ({ ...job, makeUp: change(job.makeUp) }),
})

/** Another construction for the same cushions; a closure that it cannot have becomes its usual one. */
export const setConstruction = (kind: Construction['kind']): Edit => ({
  says: MAKE_UPS[kind].label,
  apply: (job) => {
    const makeUp = rebuilt(job.makeUp, kind)
    return {
      ...job,
      makeUp: makeUp.closure === job.makeUp.closure ? makeUp : { ...makeUp, closure: openFor(job, makeUp.closure) },
    }
  },
})

/** The usual closure of a kind. */
export const setClosure = (kind: Closure['kind']): Edit => ({
  says: CLOSURES[kind].label,
  apply: (job) => ({ ...job, makeUp: { ...job.makeUp, closure: openFor(job, CLOSURES[kind].usual) } }),
})

/** A block goes in through a whole side that is left open and sewn shut; what is poured in wants no more than a hand. */
function openFor({ seat, filling }: PartJob, closure: Closure): Closure {
  if (closure.kind !== 'sewn-shut' || filling.kind === 'loose-fibre') return closure
  const cushions = cushionsOf(seat)
  const solids = cushions.ok ? cushions.value.designs.map((d) => d.solid) : []
  const isEnd = closure.side === 'left' || closure.side === 'right'
  const side = Math.min(...solids.map((s) => (isEnd ? s.depth : s.width).value))
  return side >= 1 && Number.isFinite(side) ? { ...closure, openingMm: Math.floor(side) } : closure
}

/** Corded piping as it starts: every edge, a thin cord, cut straight. */
export const USUAL_PIPING: Extract<Piping, { kind: 'corded' }> = {
  kind: 'corded',
  rows: 'both',
  sides: [...SIDES],
  cordMm: 5,
  clothMm: 0,
  stripMm: null,
  cut: 'across',
}

/** A cloth of its own for a part of the cover; null cuts it from the cloth of the job. */
export function setOtherCloth(role: Exclude<ClothRole, 'face'>, cloth: Cloth | null, says: string): Edit {
  return {
    says,
    apply: (job) => {
      const { [role]: _, ...others } = job.cloth.others
      return { ...job, cloth: { ...job.cloth, others: cloth ? { ...others, [role]: cloth } : others } }
    },
  }
}

/** Sets the allowance of one edge, by `panel/edge`; null goes back to what the make-up gives it. */
export function setEdgeAllowance(edge: string, valueMm: number | null, says: string): Edit {
  return {
    says,
    apply: (job) => {
      const { [edge]: _, ...others } = job.allowances.edges
      return {
        ...job,
        allowances: { ...job.allowances, edges: valueMm === null ? others : { ...others, [edge]: valueMm } },
      }
    },
  }
}

/** Sets an allowance on this job alone; null goes back to the shop's book. */
export function setAllowance(name: keyof AllowanceBook, valueMm: number | null, says: string): Edit {
  return {
    says,
    apply: (job) => {
      const { [name]: _, ...others } = job.allowances.overrides
      return {
        ...job,
        allowances: { ...job.allowances, overrides: valueMm === null ? others : { ...others, [name]: valueMm } },
      }
    },
  }
}

/** Puts a picture on the quote, by its id; null: none. */
export const setPicture = (says: string, picture: string | null): Edit => ({
  says,
  apply: (job) => ({ ...job, terms: { ...job.terms, picture } }),
})
