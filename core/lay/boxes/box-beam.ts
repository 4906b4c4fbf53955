import type { Random } from '../../random/index.ts'
import type { Instance } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Arrangement, Spot } from '../placer.ts'
import type { Posture } from '../shape.ts'
import { kindsOf, reachableWidths, type BoxKind } from './box-kinds.ts'
import { givenUp, ledgesAfter, raised, type Ledge } from './ledges.ts'
import { BEAM_PHASE_MM, ROUNDING_MM } from '../tolerances.ts'

const UNFIXED = -1

/** What a choice looked at and a beginning taken on take, in the unit of work. */
const LOOK = 0.5
const GROW = 5

/**
 * What counts for a beginning beside what the aim says: that its upper edge has few ledges, that bound boxes came into
 * phase, and a little chance.
 */
const WEIGHTS = { ledges: 1, phase: 1, chance: 0.1 } as const

/** The boxes of a beginning, the last first. Beginnings share their tails, so that many of them take little memory. */
interface Path {
  readonly before: Path | null
  readonly kind: number
  readonly posture: Posture
  readonly x: number
  readonly y: number
}

interface Beginning {
  readonly path: Path | null
  readonly ledges: readonly Ledge[]
  readonly left: Uint8Array
  readonly spare: number
  readonly placed: number
  readonly area: number
  readonly inPhase: number
  readonly phases: readonly { readonly across: number; readonly along: number }[]
  /** Sum of a chance number of each box laid: tells sets of boxes apart. */
  readonly mark: number
}

/** What may be done next with a beginning: a box laid on its ledge `at`, or the ledge given up. */
interface Step {
  readonly from: Beginning
  readonly at: number
  readonly choice: Choice | null
  readonly waste: number
  readonly score: number
}

interface Choice {
  readonly kind: number
  readonly posture: Posture
  readonly bound: number
}

export interface BeamAim {
  /** No lay is looked for that is longer. */
  readonly length: number
  /** Beginnings that are kept at each step. */
  readonly width: number
  /** How much it counts that large boxes go first, and that little of what may be wasted is wasted. */
  readonly largeFirst: number
  readonly sparing: number
}

export type BeamEnd = 'found' | 'not found' | 'none exists'

/**
 * Looks for a lay of boxes no longer than the aim. Beginnings grow side by side, a box at a time: of
 * the hollows in a beginning's upper edge the one with the fewest ways to fill it is filled flush
 * left in every way, or given up if the length can spare the waste; the best beginnings go on.
 * Yields the work done. Boxes carry their gap along, to the right and up.
 */
export function* beamOfBoxes(
  instance: Instance,
  { length, width: beamWidth, largeFirst, sparing }: BeamAim,
  random: Random,
  offer: (a: Arrangement) => void,
): Generator<number, BeamEnd> {
  const { gap, repeatAcross, repeatAlong, items } = instance
  const kinds = kindsOf(instance)
  const bound = kinds.flatMap((k, i) => (k.across === null && k.along === null ? [] : [i]))
  const width = instance.maxX - instance.minX + gap
  const top = length + gap + ROUNDING_MM
  const wholeSpare = width * (length + gap) - kinds.reduce((sum, k) => sum + k.members.length * k.area, 0)
  if (wholeSpare < -ROUNDING_MM * width) return 'none exists'
  const canFill = reachableWidths(kinds, width, gap)
  const fixed = instance.groups.map((g) => ({ across: g.across ?? UNFIXED, along: g.along ?? UNFIXED }))
  const marks = kinds.map(() => Math.floor(random() * 2 ** 40))
  let kept: readonly Beginning[] = [
    {
      path: null,
      ledges: [{ x: instance.minX, y: 0, width }],
      left: Uint8Array.from(kinds, (k) => k.members.length),
      spare: wholeSpare,
      placed: 0,
      area: 0,
      inPhase: 0,
      phases: fixed,
      mark: 0,
    },
  ]
  let looked = 0

  while (kept.length > 0) {
    const next: Step[] = []
    for (const beginning of kept) {
      looked = 0
      addSteps(beginning, next)
      yield (looked + 20) * LOOK
    }
    next.sort((a, b) => b.score - a.score)
    const seen = new Set<string>()
    const grown: Beginning[] = []
    for (let i = 0; i < next.length && grown.length < beamWidth; i++) {
      const beginning = taken(next[i]!)
      if (beginning.placed === items.length) {
        offer(arrangementOf(beginning))
        return 'found'
      }
      const key = `${beginning.mark}|${beginning.ledges.map((l) => `${Math.round(l.x * 100)},${Math.round(l.y * 100)}`).join()}`
      if (seen.has(key)) continue
      seen.add(key)
      grown.push(beginning)
      if (grown.length % 16 === 0) yield 16 * GROW
    }
    kept = grown
  }
  return 'not found'

  function addSteps(from: Beginning, next: Step[]): void {
    const hollow = tightestHollow(from)
    if (!hollow) return
    const { at, choices, waste } = hollow
    const { ledges, area, inPhase } = from
    const wasted = wholeSpare > 0 ? (wholeSpare - from.spare) / wholeSpare : 0
    for (const choice of choices) {
      const { shape } = choice.posture
      const large = (largeFirst * items.length * (area + kinds[choice.kind]!.area)) / instance.totalArea
      const score =
        large -
        WEIGHTS.ledges * ledgesAfter(ledges, at, shape.width + gap, shape.height + gap) +
        WEIGHTS.phase * (inPhase + choice.bound) -
        sparing * wasted +
        WEIGHTS.chance * random()
      next.push({ from, at, choice, waste: 0, score })
    }
    if (waste > from.spare + ROUNDING_MM || ledges.length === 1) return
    const large = (largeFirst * items.length * area) / instance.totalArea
    next.push({
      from,
      at,
      choice: null,
      waste,
      score:
        large -
        WEIGHTS.ledges * (ledges.length - 1) +
        WEIGHTS.phase * inPhase -
        sparing * (wasted + waste / wholeSpare) +
        WEIGHTS.chance * random(),
    })
  }

  function taken({ from, at, choice, waste }: Step): Beginning {
    if (!choice) return { ...from, ledges: givenUp(from.ledges, at), spare: from.spare - waste }
    const { kind: k, posture } = choice
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
      area: from.area + kinds[k]!.area,
      inPhase: from.inPhase + choice.bound,
      phases: phasesWith(from.phases, kinds[k]!, posture, x, y),
    }
  }

  /** Null where a hollow can be neither filled nor spared, or a bound box has no place left. */
  function tightestHollow(from: Beginning): { at: number; choices: readonly Choice[]; waste: number } | null {
    const { ledges, spare } = from
    if (
      !bound.every((k) => from.left[k] === 0 || kinds[k]!.postures.some((posture) => hasRoom(from, kinds[k]!, posture)))
    )
      return null
    let best: { at: number; choices: readonly Choice[]; waste: number } | null = null
    for (let at = 0; at < ledges.length; at++) {
      const rise = Math.min(ledges[at - 1]?.y ?? top, ledges[at + 1]?.y ?? top) - ledges[at]!.y
      if (rise <= ROUNDING_MM) continue
      const waste = rise * ledges[at]!.width
      const choices = choicesOn(from, at, rise)
      if (choices.length === 0 && waste > spare + ROUNDING_MM) return null
      if (
        !best ||
        choices.length < best.choices.length ||
        (choices.length === best.choices.length && ledges[at]!.y < ledges[best.at]!.y)
      )
        best = { at, choices, waste }
    }
    return best
  }

  function choicesOn({ ledges, left, spare, phases }: Beginning, at: number, rise: number): readonly Choice[] {
    const { x, y, width: room } = ledges[at]!
    const choices: Choice[] = []
    looked += kinds.length / 8
    for (let k = 0; k < kinds.length; k++) {
      if (left[k] === 0) continue
      const kind = kinds[k]!
      for (const posture of kind.postures) {
        const [w, h] = [posture.shape.width + gap, posture.shape.height + gap]
        const rest = room - w
        if (rest < -ROUNDING_MM || y + h > top) continue
        const phase = phases[kind.group]
        if (
          phase &&
          !(
            isNear(kind.across, phase.across, x + posture.anchorX, repeatAcross) &&
            isNear(kind.along, phase.along, y + posture.anchorY, repeatAlong)
          )
        )
          continue
        // What stays beside it may go to waste up to the height of the lower neighbour.
        if (rest > ROUNDING_MM && !canFill(rest) && rest * Math.min(h, rise) > spare + ROUNDING_MM) continue
        looked++
        choices.push({ kind: k, posture, bound: phase ? boundWays(kind, phase) : 0 })
      }
    }
    return choices
  }

  /** Whether a bound box still has a place on its lattice above the ledges; one that is free across is let pass. */
  function hasRoom(
    { ledges, phases }: Beginning,
    { group, across, along }: BoxKind,
    { shape, anchorX, anchorY }: Posture,
  ): boolean {
    const phase = phases[group]
    if (!phase || across === null || phase.across === UNFIXED) return true
    const isBoundY = along !== null && phase.along !== UNFIXED
    const last = instance.minX + width - (shape.width + gap) + BEAM_PHASE_MM
    for (
      let x =
        instance.minX -
        BEAM_PHASE_MM +
        modulo(phase.across + across - anchorX - instance.minX + BEAM_PHASE_MM, repeatAcross!);
      x <= last;
      x += repeatAcross!
    ) {
      let y = 0
      for (const ledge of ledges)
        if (ledge.x < x + shape.width + gap - BEAM_PHASE_MM && ledge.x + ledge.width > x + BEAM_PHASE_MM && ledge.y > y)
          y = ledge.y
      if (isBoundY) y = y - BEAM_PHASE_MM + modulo(phase.along + along - anchorY - y + BEAM_PHASE_MM, repeatAlong!)
      if (y + shape.height + gap <= top + BEAM_PHASE_MM) return true
    }
    return false
  }

  function phasesWith(
    phases: Beginning['phases'],
    { group, across, along }: BoxKind,
    { anchorX, anchorY }: Posture,
    x: number,
    y: number,
  ): Beginning['phases'] {
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

  function arrangementOf(last: Beginning): Arrangement {
    const left = kinds.map((k) => k.members.length)
    const spots: Spot[] = []
    for (let p = last.path; p; p = p.before)
      spots.push({ item: kinds[p.kind]!.members[--left[p.kind]!]!, posture: p.posture, x: p.x, y: p.y, sheet: 0 })
    const orNull = (v: number) => (v === UNFIXED ? null : v)
    return {
      spots,
      left: [],
      sheets: 1,
      length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)),
      offsets: last.phases.map((p) => ({ across: orNull(p.across), along: orNull(p.along) })),
    }
  }
}

/** On how many axes a box is held by a phase that is already fixed: chance alone seldom brings it there. */
const boundWays = ({ across, along }: BoxKind, phase: { across: number; along: number }): number =>
  Number(across !== null && phase.across !== UNFIXED) + Number(along !== null && phase.along !== UNFIXED)

function isNear(demand: number | null, phase: number, at: number, repeat: number | null): boolean {
  if (demand === null || phase === UNFIXED) return true
  const apart = modulo(at - demand - phase, repeat!)
  return Math.min(apart, repeat! - apart) <= BEAM_PHASE_MM
}
