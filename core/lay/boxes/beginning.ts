import type { Arrangement, Spot } from '../placer.ts'
import type { Posture } from '../shape.ts'
import { phasesAtFirst, phasesWith, toldPhase, type Phase } from './beam-phases.ts'
import type { BeamGround } from './beam-ground.ts'
import { givenUp, raised, type Ledge } from './ledges.ts'

/** Some of the boxes, laid from the starting end. */
export interface Beginning {
  readonly path: Path | null
  readonly ledges: readonly Ledge[]
  /** How many of each kind are still to be laid. */
  readonly left: Uint8Array
  readonly spare: number
  readonly placed: number
  readonly area: number
  readonly inPhase: number
  readonly phases: readonly Phase[]
  /** Sum of the mark of each box laid: tells sets of boxes apart. */
  readonly mark: number
}

/** The boxes of a beginning, the last first. Beginnings share their tails, so that many of them take little memory. */
interface Path {
  readonly before: Path | null
  readonly kind: number
  readonly posture: Posture
  readonly x: number
  readonly y: number
}

/** A box in a turn, flush left on a ledge, and on how many axes a phase brought it there. */
export interface Choice {
  readonly kind: number
  readonly posture: Posture
  readonly bound: number
}

/** What may be done next with a beginning: a box laid on its ledge `at`, or the ledge given up. */
export interface Step {
  readonly from: Beginning
  readonly at: number
  readonly choice: Choice | null
  readonly waste: number
  readonly score: number
}

export const nothingLaid = (ground: BeamGround): Beginning => ({
  path: null,
  ledges: [{ x: ground.instance.minX, y: 0, width: ground.width }],
  left: Uint8Array.from(ground.kinds, (k) => k.members.length),
  spare: ground.spare,
  placed: 0,
  area: 0,
  inPhase: 0,
  phases: phasesAtFirst(ground),
  mark: 0,
})

/** A beginning one step on. */
export function taken({ from, at, choice, waste }: Step, ground: BeamGround, marks: readonly number[]): Beginning {
  if (!choice) return { ...from, ledges: givenUp(from.ledges, at), spare: from.spare - waste }
  const { gap } = ground.instance
  const { kind: k, posture } = choice
  const kind = ground.kinds[k]!
  const { x, y } = from.ledges[at]!
  const left = from.left.slice()
  left[k]!--
  return {
    path: { before: from.path, kind: k, posture, x, y },
    ledges: raised(from.ledges, at, posture.shape.width + gap, posture.shape.height + gap),
    left,
    mark: from.mark + marks[k]!,
    spare: from.spare,
    placed: from.placed + 1,
    area: from.area + kind.area,
    inPhase: from.inPhase + choice.bound,
    phases: phasesWith(from.phases, kind, posture, x, y, ground),
  }
}

/** Alike for beginnings that have the same boxes below the same upper edge. */
export const outlookOf = ({ mark, ledges }: Beginning): string =>
  `${mark}|${ledges.map((l) => `${Math.round(l.x * 100)},${Math.round(l.y * 100)}`).join()}`

/** The lay of a beginning in which every box lies. */
export function arrangementOf({ path, phases }: Beginning, { kinds }: BeamGround): Arrangement {
  const left = kinds.map((k) => k.members.length)
  const spots: Spot[] = []
  for (let p = path; p; p = p.before)
    spots.push({ item: kinds[p.kind]!.members[--left[p.kind]!]!, posture: p.posture, x: p.x, y: p.y, sheet: 0 })
  return {
    spots,
    left: [],
    sheets: 1,
    length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)),
    offsets: phases.map(toldPhase),
  }
}
