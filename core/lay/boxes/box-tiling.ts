import type { Random } from '../../random/index.ts'
import type { Instance } from '../instance.ts'
import { modulo } from '../intervals.ts'
import type { Arrangement, Spot } from '../placer.ts'
import type { Posture } from '../shape.ts'
import { kindsOf, reachableWidths, type BoxKind } from './box-kinds.ts'

const EQUAL = 1e-6
const PHASE_MM = 0.05
const UNFIXED = -1

interface Ledge {
  readonly x: number
  readonly y: number
  readonly width: number
}

interface Choice {
  readonly kind: number
  readonly posture: Posture
  readonly score: number
}

export type TilingEnd = 'found' | 'exhausted' | 'out of steps'

/**
 * Looks for a lay of boxes no longer than `length`, depth first: onto the lowest ledge goes, flush
 * left, each box that fits, best fit first; or the ledge is given up, as long as no more cloth is
 * wasted than the length allows. Yields the work done. Boxes carry their gap along, to the right and up.
 */
export function* tileBoxes(instance: Instance, length: number, steps: number, random: Random | null, offer: (a: Arrangement) => void): Generator<number, TilingEnd> {
  const { gap, repeatAcross, repeatAlong } = instance
  const kinds = kindsOf(instance)
  const width = instance.maxX - instance.minX + gap
  const top = length + gap + EQUAL
  const left = kinds.map((k) => k.members.length)
  const phases = instance.groups.map((g) => ({ across: g.across ?? UNFIXED, along: g.along ?? UNFIXED }))
  const canFill = reachableWidths(kinds, width, gap)
  let spare = width * (length + gap) - kinds.reduce((sum, k) => sum + k.members.length * k.area, 0)
  if (spare < -EQUAL * width) return 'exhausted'
  const spots: Spot[] = []
  const stack: Level[] = []
  let level = openLevel([{ x: instance.minX, y: 0, width }])

  for (let step = 0; step < steps; step++) {
    if (step % 64 === 63) yield 64
    if (spots.length === instance.items.length) {
      offer(arrangement())
      return 'found'
    }
    const choice = level.choices[level.next++]
    if (choice) {
      const ledges = put(level, choice)
      stack.push(level)
      level = openLevel(ledges)
    } else if (level.next === level.choices.length + 1 && level.waste <= spare + EQUAL) {
      // The ledge is given up to its lower neighbour.
      spare -= level.waste
      stack.push(level)
      level = openLevel(given(level.ledges, level.low))
    } else {
      const above = stack.pop()
      if (!above) return 'exhausted'
      takeBack(above)
      level = above
    }
  }
  return 'out of steps'

  function openLevel(ledges: readonly Ledge[]): Level {
    let low = 0
    for (let i = 1; i < ledges.length; i++) if (ledges[i]!.y < ledges[low]!.y - EQUAL) low = i
    const ledge = ledges[low]!
    const rise = Math.min(ledges[low - 1]?.y ?? top, ledges[low + 1]?.y ?? top) - ledge.y
    const waste = rise > EQUAL ? rise * ledge.width : Infinity
    return { ledges, low, waste, choices: choicesOn(ledges, low), next: 0, across: UNFIXED, along: UNFIXED, group: -1 }
  }

  function choicesOn(ledges: readonly Ledge[], low: number): readonly Choice[] {
    const { x, y, width: room } = ledges[low]!
    const [a, b] = [(ledges[low - 1]?.y ?? top) - y, (ledges[low + 1]?.y ?? top) - y]
    const [lower, higher] = a < b ? [a, b] : [b, a]
    const choices: Choice[] = []
    for (let k = 0; k < kinds.length; k++) {
      if (left[k] === 0) continue
      const kind = kinds[k]!
      for (const posture of kind.postures) {
        const [w, h] = [posture.shape.width + gap, posture.shape.height + gap]
        const rest = room - w
        if (rest < -EQUAL || y + h > top || !inPhase(kind, posture, x, y)) continue
        // What stays beside it may go to waste up to the height of the lower neighbour.
        if (rest > EQUAL && !canFill(rest) && rest * Math.min(h, lower) > spare + EQUAL) continue
        const fit = (rest < EQUAL ? 4 : 0) + (Math.abs(h - higher) < EQUAL ? 2 : 0) + (Math.abs(h - lower) < EQUAL ? 1 : 0)
        choices.push({ kind: k, posture, score: fit + (kind.area / instance.totalArea) * 4 + (random ? random() * 1.5 : 0) })
      }
    }
    return choices.sort((p, q) => q.score - p.score)
  }

  function inPhase(kind: BoxKind, posture: Posture, x: number, y: number): boolean {
    const phase = phases[kind.group]
    if (!phase) return true
    return isNear(kind.across, phase.across, x + posture.anchorX, repeatAcross) && isNear(kind.along, phase.along, y + posture.anchorY, repeatAlong)
  }

  function put(at: Level, { kind: k, posture }: Choice): readonly Ledge[] {
    const kind = kinds[k]!
    const { x, y } = at.ledges[at.low]!
    left[k]!--
    spots.push({ item: kind.members[left[k]!]!, posture, x, y, sheet: 0 })
    const phase = phases[kind.group]
    at.group = kind.group
    if (phase) {
      ;[at.across, at.along] = [phase.across, phase.along]
      if (kind.across !== null && phase.across === UNFIXED) phase.across = modulo(x + posture.anchorX - kind.across, repeatAcross!)
      if (kind.along !== null && phase.along === UNFIXED) phase.along = modulo(y + posture.anchorY - kind.along, repeatAlong!)
    }
    return raised(at.ledges, at.low, posture.shape.width + gap, posture.shape.height + gap)
  }

  function takeBack(at: Level): void {
    if (at.next > at.choices.length) {
      spare += at.waste
      return
    }
    left[at.choices[at.next - 1]!.kind]!++
    spots.pop()
    const phase = phases[at.group]
    if (phase) [phase.across, phase.along] = [at.across, at.along]
  }

  function arrangement(): Arrangement {
    const fixed = (v: number) => (v === UNFIXED ? null : v)
    return {
      spots: [...spots],
      left: [],
      sheets: 1,
      length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)),
      offsets: phases.map((p) => ({ across: fixed(p.across), along: fixed(p.along) })),
    }
  }
}

/** A ledge to be filled, what may go there, and what to put back when it is given up. */
interface Level {
  readonly ledges: readonly Ledge[]
  readonly low: number
  readonly waste: number
  readonly choices: readonly Choice[]
  next: number
  across: number
  along: number
  group: number
}

function isNear(demand: number | null, phase: number, at: number, repeat: number | null): boolean {
  if (demand === null || phase === UNFIXED) return true
  const apart = modulo(at - demand - phase, repeat!)
  return Math.min(apart, repeat! - apart) <= PHASE_MM
}

/** The upper edge after a box was set flush left on a ledge. */
function raised(ledges: readonly Ledge[], i: number, w: number, h: number): readonly Ledge[] {
  const { x, y, width } = ledges[i]!
  const rest = width - w
  return joined([...ledges.slice(0, i), { x, y: y + h, width: w }, ...(rest > EQUAL ? [{ x: x + w, y, width: rest }] : []), ...ledges.slice(i + 1)])
}

function given(ledges: readonly Ledge[], i: number): readonly Ledge[] {
  const y = Math.min(ledges[i - 1]?.y ?? Infinity, ledges[i + 1]?.y ?? Infinity)
  return joined(ledges.map((l, k) => (k === i ? { ...l, y } : l)))
}

function joined(ledges: readonly Ledge[]): readonly Ledge[] {
  const out: Ledge[] = []
  for (const ledge of ledges) {
    const last = out.at(-1)
    if (last && Math.abs(last.y - ledge.y) < EQUAL) out[out.length - 1] = { x: last.x, y: last.y, width: ledge.x + ledge.width - last.x }
    else out.push(ledge)
  }
  return out
}
