import type { Lay, LayProblem } from '../../../contract/index.ts'
import { ACCEPTED_LENGTH_MM, ACCEPTED_OVERLAP_MM } from '../tolerances.ts'
import type { LayFault } from './fault.ts'
import { laidPiece, overlapBeyond, type Laid } from './laid.ts'
import { clothFaults } from './on-cloth.ts'
import { outlinesCloserThan } from './outlines.ts'
import { phaseFaults } from './phases.ts'

/**
 * Checks a lay against its problem without knowing how it was found; empty when it is sound. Nothing of the search is
 * used here, not even how a piece is turned: what is wrong there must not look right here.
 */
export function acceptLay(problem: LayProblem, lay: Lay): readonly LayFault[] {
  const pieces = new Map(problem.pieces.map((p) => [p.id, p]))
  const laid = lay.placements.flatMap((place) => {
    const piece = pieces.get(place.id)
    return piece ? [laidPiece(piece, place)] : []
  })
  return [
    ...lay.placements.flatMap((place) => turnFaults(pieces.get(place.id), place)),
    ...countFaults(problem, lay),
    ...laid.flatMap((l) => clothFaults(problem, l)),
    ...pairFaults(problem, laid),
    ...phaseFaults(problem, lay),
    ...lengthFaults(lay, laid),
  ]
}

function turnFaults(piece: LayProblem['pieces'][number] | undefined, place: Lay['placements'][number]): LayFault[] {
  if (!piece) return [{ code: 'unknown-piece', piece: place.id }]
  const { id, qty, turns, flip } = piece
  if (turns.some((t) => (((t - place.turn) % 360) + 360) % 360 < 1e-9) && (flip || !place.flip)) return []
  const name = qty > 1 ? `${id} (${place.copy})` : id
  return [{ code: 'turn-not-allowed', piece: name, turn: place.turn, flip: place.flip }]
}

function countFaults(problem: LayProblem, lay: Lay): LayFault[] {
  return problem.pieces.flatMap((piece) => {
    const copies = new Set(lay.placements.filter((p) => p.id === piece.id && p.copy <= piece.qty).map((p) => p.copy))
    const found = lay.placements.filter((p) => p.id === piece.id).length
    return copies.size === piece.qty && found === piece.qty
      ? []
      : [{ code: 'wrong-count', piece: piece.id, wanted: piece.qty, found } as const]
  })
}

/** Only pieces whose boxes come near each other are compared: from low to high, until the next begins beyond. */
function pairFaults({ gap }: LayProblem, laid: readonly Laid[]): LayFault[] {
  const upwards = laid.toSorted((a, b) => a.box[1] - b.box[1])
  return upwards.flatMap((a, i) => {
    const faults: LayFault[] = []
    for (let k = i + 1; k < upwards.length && upwards[k]!.box[1] <= a.box[3] + gap; k++) {
      const b = upwards[k]!
      if (a.sheet !== b.sheet || a.box[0] > b.box[2] + gap || b.box[0] > a.box[2] + gap) continue
      if (overlapBeyond(a, b, ACCEPTED_OVERLAP_MM)) faults.push({ code: 'overlap', piece: a.name, other: b.name })
      else if (gap > ACCEPTED_OVERLAP_MM && outlinesCloserThan(a.ring, b.ring, gap - ACCEPTED_OVERLAP_MM))
        faults.push({ code: 'too-close', piece: a.name, other: b.name })
    }
    return faults
  })
}

function lengthFaults(lay: Lay, laid: readonly Laid[]): LayFault[] {
  const last = Math.max(1, ...laid.map((l) => l.sheet))
  const real = Math.max(0, ...laid.filter((l) => l.sheet === last).map((l) => l.box[3]))
  return Math.abs(real - lay.length) > ACCEPTED_LENGTH_MM ? [{ code: 'wrong-length', claimed: lay.length, real }] : []
}
