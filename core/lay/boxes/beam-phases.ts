import { modulo } from '../intervals.ts'
import type { Posture } from '../shape.ts'
import { BEAM_PHASE_MM } from '../tolerances.ts'
import type { BeamGround } from './beam-ground.ts'
import type { BoxKind } from './box-kinds.ts'
import type { Ledge } from './ledges.ts'

/** The phase of a group on each axis, `UNFIXED` until its first box lies. */
export interface Phase {
  readonly across: number
  readonly along: number
}

const UNFIXED = -1

export const phasesAtFirst = ({ instance: { groups } }: BeamGround): readonly Phase[] =>
  groups.map((g) => ({ across: g.across ?? UNFIXED, along: g.along ?? UNFIXED }))

/** A phase as a lay tells it. */
export const toldPhase = ({ across, along }: Phase): { across: number | null; along: number | null } => ({
  across: across === UNFIXED ? null : across,
  along: along === UNFIXED ? null : along,
})

/** The phases once a box lies at a place: the first of a group fixes that of all. */
export function phasesWith(
  phases: readonly Phase[],
  { group, across, along }: BoxKind,
  { anchorX, anchorY }: Posture,
  x: number,
  y: number,
  { instance: { repeatAcross, repeatAlong } }: BeamGround,
): readonly Phase[] {
  const phase = phases[group]
  if (!phase) return phases
  const now = {
    across: across !== null && phase.across === UNFIXED ? modulo(x + anchorX - across, repeatAcross!) : phase.across,
    along: along !== null && phase.along === UNFIXED ? modulo(y + anchorY - along, repeatAlong!) : phase.along,
  }
  return now.across === phase.across && now.along === phase.along
    ? phases
    : phases.map((p, g) => (g === group ? now : p))
}

/** Whether a box may lie at a place, by the phase of its group. */
export const isInPhase = (
  kind: BoxKind,
  phase: Phase,
  { anchorX, anchorY }: Posture,
  x: number,
  y: number,
  { instance: { repeatAcross, repeatAlong } }: BeamGround,
): boolean =>
  isNear(kind.across, phase.across, x + anchorX, repeatAcross) &&
  isNear(kind.along, phase.along, y + anchorY, repeatAlong)

function isNear(demand: number | null, phase: number, at: number, repeat: number | null): boolean {
  if (demand === null || phase === UNFIXED) return true
  const apart = modulo(at - demand - phase, repeat!)
  return Math.min(apart, repeat! - apart) <= BEAM_PHASE_MM
}

/** On how many axes a box is held by a phase that is already fixed: chance alone seldom brings it there. */
export const boundWays = ({ across, along }: BoxKind, phase: Phase): number =>
  Number(across !== null && phase.across !== UNFIXED) + Number(along !== null && phase.along !== UNFIXED)

/** Whether a bound box still has a place on its lattice above the ledges; one that is free across is let pass. */
export function hasRoom(
  phases: readonly Phase[],
  ledges: readonly Ledge[],
  { group, across, along }: BoxKind,
  { shape, anchorX, anchorY }: Posture,
  { instance: { gap, minX, repeatAcross, repeatAlong }, width, top }: BeamGround,
): boolean {
  const phase = phases[group]
  if (!phase || across === null || phase.across === UNFIXED) return true
  const isBoundAlong = along !== null && phase.along !== UNFIXED
  const first = minX - BEAM_PHASE_MM + modulo(phase.across + across - anchorX - minX + BEAM_PHASE_MM, repeatAcross!)
  const last = minX + width - (shape.width + gap) + BEAM_PHASE_MM
  for (let x = first; x <= last; x += repeatAcross!) {
    const y = lowestOver(ledges, x + BEAM_PHASE_MM, x + shape.width + gap - BEAM_PHASE_MM)
    const stands = isBoundAlong
      ? y - BEAM_PHASE_MM + modulo(phase.along + along - anchorY - y + BEAM_PHASE_MM, repeatAlong!)
      : y
    if (stands + shape.height + gap <= top + BEAM_PHASE_MM) return true
  }
  return false
}

/** The least height above all ledges between two places across the cloth. */
function lowestOver(ledges: readonly Ledge[], from: number, to: number): number {
  let y = 0
  for (const ledge of ledges) if (ledge.x < to && ledge.x + ledge.width > from && ledge.y > y) y = ledge.y
  return y
}
