import type { Lay, LayProblem } from '../../../contract/index.ts'
import { ACCEPTED_MATCH_MM } from '../tolerances.ts'
import type { LayFault } from './fault.ts'
import { onCloth } from './laid.ts'

/** Every member of a group must stand at one phase; an offset that the problem or the lay states binds as well. */
export function phaseFaults(problem: LayProblem, lay: Lay): LayFault[] {
  return (['across', 'along'] as const).flatMap((axis) => {
    const step = problem.cloth.repeat[axis]
    return step === null ? [] : faultsAlong(axis, step, problem, lay)
  })
}

function faultsAlong(axis: 'across' | 'along', step: number, problem: LayProblem, lay: Lay): LayFault[] {
  const reference = new Map<string, number>()
  for (const stated of [lay.offsets, problem.groups])
    for (const [name, offset] of Object.entries(stated)) if (offset[axis] !== null) reference.set(name, offset[axis])
  return lay.placements.flatMap((place): LayFault[] => {
    const match = problem.pieces.find((p) => p.id === place.id)?.match
    if (!match || match[axis] === null) return []
    const phase = onCloth(place, ...match.anchor)[axis === 'across' ? 0 : 1] - match[axis]
    const known = reference.get(match.group)
    if (known === undefined) {
      reference.set(match.group, phase)
      return []
    }
    const apart = (((phase - known) % step) + step) % step
    const off = Math.min(apart, step - apart)
    return off > ACCEPTED_MATCH_MM ? [{ code: 'out-of-phase', piece: place.id, axis, off }] : []
  })
}
