import type { Cloth, Job } from '../../contract/index.ts'
import { inEveryPart } from '../job/index.ts'
import { usableWidth } from '../cover/index.ts'

/** A number that a stop asks for, beside what the plan has. Lengths in mm. */
export type Measured =
  | { readonly what: 'cord'; readonly plannedMm: number }
  | { readonly what: 'cloth-width'; readonly clothId: string; readonly plannedMm: number }
  | {
      readonly what: 'trimmed-off'
      readonly letter: string
      readonly panel: string
      readonly edge: string
      /** What was left to trim. */
      readonly plannedMm: number
    }
  | { readonly what: 'body'; readonly letter: string; readonly bodyId: string; readonly plannedMm: number }

export const MEASURED_WORDS: Readonly<Record<Measured['what'], string>> = {
  cord: 'Thickness of the cord',
  'cloth-width': 'Width between the selvedges',
  body: 'Thickness, recovered',
  'trimmed-off': 'Trimmed off',
}

/** Nearer than this to the plan a measurement changes nothing worth planning anew for. */
const NOTICED_MM: Readonly<Record<Measured['what'], number>> = {
  cord: 0.2,
  'cloth-width': 1,
  body: 0.5,
  'trimmed-off': 0.5,
}

export const isOtherThanPlanned = ({ what, plannedMm }: Measured, mm: number): boolean =>
  Math.abs(mm - plannedMm) > NOTICED_MM[what]

/** The ticket planned with what was measured, wherever it has that cord or that cloth. */
export function plannedWith(job: Job, measured: Measured, mm: number): Job {
  switch (measured.what) {
    case 'cord':
      return inEveryPart(job, (part) => {
        const { piping } = part.makeUp
        return piping.kind === 'corded' && piping.cordMm === measured.plannedMm
          ? { ...part, makeUp: { ...part.makeUp, piping: { ...piping, cordMm: mm } } }
          : part
      })
    case 'cloth-width': {
      const asMeasured = <C extends Cloth | undefined>(cloth: C): C =>
        cloth?.id === measured.clothId ? { ...cloth, widthMm: cloth.widthMm - usableWidth(cloth) + mm } : cloth
      const all = <T extends Readonly<Record<string, Cloth | undefined>>>(cloths: T): T =>
        Object.fromEntries(Object.entries(cloths).map(([role, cloth]) => [role, asMeasured(cloth)])) as T
      return {
        ...job,
        cloth: { cloth: asMeasured(job.cloth.cloth), others: all(job.cloth.others) },
        parts: job.parts.map((part) => ({ ...part, cloth: { ...part.cloth, own: all(part.cloth.own) } })),
      }
    }
    case 'body':
      return {
        ...job,
        parts: job.parts.map((part) =>
          part.letter === measured.letter
            ? {
                ...part,
                there: {
                  ...part.there,
                  bodies: part.there.bodies.map((b) =>
                    b.id === measured.bodyId
                      ? { ...b, recovered: { ...(b.recovered ?? b.found), thicknessMm: mm } }
                      : b,
                  ),
                },
              }
            : part,
        ),
      }
    case 'trimmed-off':
      // What was not taken off was wanted: the next one is left so much.
      return {
        ...job,
        parts: job.parts.map((part) =>
          part.letter === measured.letter
            ? {
                ...part,
                makeUp: {
                  ...part.makeUp,
                  reserves: part.makeUp.reserves.map((r) =>
                    r.panel === measured.panel && r.edge === measured.edge
                      ? { ...r, mm: Math.max(0, measured.plannedMm - mm) }
                      : r,
                  ),
                },
              }
            : part,
        ),
      }
    default:
      return measured satisfies never
  }
}
