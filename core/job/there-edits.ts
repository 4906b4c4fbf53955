import { phrase } from '../language/index.ts'
import { usualFoam, usualSchool } from '../filling/index.ts'
import type { Grade, Layer, OldBody, PartWork, There } from '../../contract/index.ts'
import type { Edit } from './edits.ts'

/** What is ordered of a part: both, the cover, or the filling. A filling for a cover that stays is squeezed into it. */
export const setWork = (kind: PartWork['kind']): Edit => ({
  says: WORK_SAYS[kind],
  apply: (job) => {
    const { filling } = job
    const work: PartWork = kind === 'filling-only' ? { kind, inside: null, unpicking: '' } : { kind }
    if (filling.kind !== 'foam') return { ...job, work }
    const usual = usualSchool(kind === 'filling-only' ? 'into-cover' : 'size-for-size', 80)
    return {
      ...job,
      work,
      filling: {
        ...filling,
        school: kind === 'cover-and-filling' ? usualSchool('full-block', 80).school : usual.school,
      },
    }
  },
})

const WORK_SAYS: Readonly<Record<PartWork['kind'], string>> = {
  'cover-and-filling': 'Cover and filling',
  'cover-only': 'A new cover, the filling stays',
  'filling-only': 'A new filling, the cover stays',
}

/** Changes what is there already. */
export const setThere = (says: string, change: (there: There) => There): Edit => ({
  says,
  apply: (job) => {
    const there = change(job.there)
    const isThere = (id: string | null) => id === null || there.bodies.some((b) => b.id === id && b.use === 'keep')
    const { filling } = job
    if (filling.kind !== 'foam' || filling.layers.every((l) => isThere(l.body))) return { ...job, there }
    const layers = filling.layers.map((l) => (isThere(l.body) ? l : { ...l, body: null }))
    return { ...job, there, filling: { ...filling, layers: withOneFree(layers) } }
  },
})

/** An old body stays as the lowest layer, in place of the foam that was to be bought; layers on top of it stay. */
export const keepBody = (body: OldBody, grade: Grade): Edit => ({
  says: phrase`${body.name || 'The old body'} stays`,
  apply: (job) => {
    const there: There = {
      ...job.there,
      bodies: job.there.bodies.map((b) => (b.id === body.id ? { ...b, use: 'keep' } : b)),
    }
    const { filling } = job
    const layer: Layer = { grade, thicknessMm: null, body: body.id, profile: null }
    const before = filling.kind === 'foam' ? filling : null
    const kept = before ? before.layers.filter((l) => l.body !== null && l.body !== body.id) : []
    return {
      ...job,
      there,
      filling: {
        ...(before ?? { ...usualFoam(grade), load: filling.load, boardMm: filling.boardMm }),
        layers: [...kept, layer],
      },
    }
  },
})

/** A block wants one new layer that takes what the others leave, unless it is all of old bodies. */
function withOneFree(layers: readonly Layer[]): Layer[] {
  const isFree = (l: Layer) => l.body === null && l.thicknessMm === null
  const isWhole = layers.every((l) => l.body !== null)
  return isWhole || layers.some(isFree)
    ? [...layers]
    : layers.map((l, i) => (i === layers.findIndex((x) => x.body === null) ? { ...l, thicknessMm: null } : l))
}
