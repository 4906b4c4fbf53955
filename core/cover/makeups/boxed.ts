import type { MakeUp } from '../../../contract/index.ts'
import { atHeight, edgeLength } from '../../outline/index.ts'
import type { SideName, Solid } from '../../seat/index.ts'
import { entered, figure, given, least, minus, over, plus, times, type Expression, type Figure, type Operand } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Cover } from '../cover.ts'
import { markNotches } from '../notches.ts'
import { planPiping } from '../piping/piping.ts'
import { stretchLength, type Seam, type SeamPair } from '../seam.ts'
import type { Wall, WallPart } from '../wall.ts'
import { edgeNames, isLevelBox, plateOf, type Plate } from './plates.ts'
import { endToStart, isWholeEdge, stripOf, type Strip } from './strips.ts'
import { boxingRuns, shareWall, type WallRound } from './wall-round.ts'

export interface BoxedInput {
  /** What the cover finishes at. */
  readonly solid: Solid
  readonly makeUp: MakeUp
  /** Matching stripes forces one piece per side. */
  readonly boxing: 'wrap' | 'one-per-side'
  readonly allowances: Allowances
}

/**
 * Boxed cover on any outline, upright or with leaning sides: two plates, boxing round front and
 * sides, and a gusset in two halves with the zip between them, across the back and round both back
 * corners by k, the smaller of the shop's limit and a quarter of the depth. Sides that lean differ at
 * a corner, so each of them is a piece of its own.
 */
export function boxed({ solid, makeUp, boxing, allowances }: BoxedInput): Cover {
  const leans = solid.edges.map((e) => e.leanRad)
  const t = solid.thickness.value
  const between = (from: number, to: number): Wall => {
    const [foot, middle, top] = [from, (from + to) / 2, to].map((share) => atHeight(solid.outline, leans, share * t))
    return { foot: foot!, middle: middle!, top: top!, heightMm: (to - from) * t }
  }
  const walls = { whole: between(0, 1), lower: between(0, 0.5), upper: between(0.5, 1) }
  const { foot, top } = walls.whole
  const lengths = edgeFigures(solid)
  const perimeter = perimeterFigure(solid, lengths)
  const k = figure({ id: 'cover.zipRoundCorner', label: 'Zip round each corner', quantity: 'length', sum: least(allowances.zipRoundCornerMm, over(solid.depth, given(4, 'count', 'a quarter of the depth'))), rule: "the smaller of the shop's limit and a quarter of the depth", change: 'make-up.zipRoundCornerMm' })
  const round = shareWall(walls.whole, solid.edges, k.value)
  const sums = new PartSums(walls.whole, lengths, k)

  const plates = { top: plateOf('top', solid, top, allowances), bottom: plateOf('bottom', solid, foot, allowances) }
  const run = figure({ id: 'cover.gussetRun', label: 'Gusset run', quantity: 'length', line: 'net', sum: gussetSum(round, walls.whole, lengths, k), rule: 'the back, and round both corners' })
  const gusset = gussetHalves(walls, round.gusset, solid.thickness, run, allowances)
  const strips = boxingRuns(walls.whole, solid.edges, round.boxing, boxing === 'one-per-side').map((parts, i, all) =>
    stripOf(walls.whole, { ...stripName(solid, parts, all, i), role: 'boxing', isSeen: true, parts, width: sums.of(parts), height: solid.thickness, rule: 'boxing finishes at the thickness, measured along the sewing line', zip: null }, allowances),
  )
  const letters = letterSequence()
  const seam = (name: string, kind: Seam['kind'], pairs: readonly SeamPair[]): Seam => ({ letter: letters.next().value as string, name, kind, pairs })
  const name = (s: Strip) => s.panel.name.toLowerCase()
  const seams: readonly Seam[] = [
    seam('zip into the gusset', 'closure', zipPairs(gusset)),
    ...strips.slice(1).map((after, i) => seam(`${name(strips[i]!)} to ${name(after)}`, 'join', [endToStart(strips[i]!, after)])),
    seam(strips.length > 1 ? `${name(strips.at(-1)!)} to the gusset` : 'right end of the boxing to the gusset', 'join', gussetEnds(strips.at(-1)!, gusset, 'end')),
    seam(strips.length > 1 ? `${name(strips[0]!)} to the gusset` : 'left end of the boxing to the gusset', 'join', gussetEnds(strips[0]!, gusset, 'start')),
    seam('boxing and gusset to the bottom plate', 'plate', ring(plates.bottom, 'bottom', [...strips, gusset.lower])),
    seam('boxing and gusset to the top plate', 'plate', ring(plates.top, 'top', [...strips, gusset.upper])),
  ]
  const panels = [plates.top, plates.bottom, ...strips.toSorted(frontFirst), gusset.upper, gusset.lower].map((p) => p.panel)
  return {
    panels: markNotches(panels, seams),
    seams,
    wall: walls.whole,
    closure: { kind: 'zip', seam: 'A', lengthMm: run },
    piping: makeUp.piping.rows === 'none' ? null : planPiping(makeUp.piping, perimeter, plates.top.panel, plates.bottom.panel, allowances),
    perimeter,
  }
}

/** Length of each edge of the cover along its foot: a size of the box, or what the outline measures. */
function edgeFigures(solid: Solid): readonly Figure[] {
  if (isLevelBox(solid)) return [solid.width, solid.depth, solid.width, solid.depth]
  const names = edgeNames(solid.edges)
  return names.map((name, i) => entered({ id: `cover.edge.${name}`, label: `Cover edge, ${name}`, quantity: 'length', line: 'net', value: edgeLength(solid.outline, i), rule: 'along the sewing line, from the outline' }))
}

function perimeterFigure(solid: Solid, lengths: readonly Figure[]): Figure {
  const sum = lengths.length === 4 && lengths[0] === lengths[2] ? times(2, plus(solid.width, solid.depth)) : plus(...lengths)
  return figure({ id: 'cover.perimeter', label: 'Perimeter of the plate', quantity: 'length', line: 'net', sum, rule: 'along the sewing line' })
}

/** Says the length of wall parts as sums of edges and of k. */
class PartSums {
  constructor(
    private readonly wall: Wall,
    private readonly lengths: readonly Figure[],
    private readonly k: Figure,
  ) {}

  of(parts: readonly WallPart[]): Operand {
    const terms = parts.map((p) => this.one(p))
    return terms.length === 1 ? terms[0]! : plus(...terms)
  }

  private one(part: WallPart): Operand {
    const whole = this.lengths[part.edge]!
    if (isWholeEdge(this.wall, part)) return whole
    const rest = whole.value - (part.to - part.from)
    if (Math.abs(rest - this.k.value) < 1e-6) return minus(whole, this.k)
    return Math.abs(rest - 2 * this.k.value) < 1e-6 ? minus(whole, times(2, this.k)) : given(part.to - part.from, 'length', 'part of an edge')
  }
}

function gussetSum(round: WallRound, wall: Wall, lengths: readonly Figure[], k: Figure): Expression {
  const isFull = (mm: number) => Math.abs(mm - k.value) < 1e-6
  const backs = round.gusset.filter((p) => isWholeEdge(wall, p) && !sideParts(round, p)).map((p) => lengths[p.edge]!)
  if (isFull(round.roundLeft) && isFull(round.roundRight)) return plus(...backs, times(given(2, 'count', 'corners'), k))
  const past = [round.roundRight, round.roundLeft].filter((mm) => mm > 1e-6).map((mm) => (isFull(mm) ? k : given(mm, 'length', 'round a corner')))
  return plus(...backs, ...past)
}

/** Whether a part belongs to what the gusset takes of the sides rather than to the back. */
function sideParts(round: WallRound, part: WallPart): boolean {
  const at = round.gusset.indexOf(part)
  const before = round.gusset.slice(0, at).reduce((sum, p) => sum + p.to - p.from, 0)
  const total = round.gusset.reduce((sum, p) => sum + p.to - p.from, 0)
  return before + (part.to - part.from) <= round.roundRight + 1e-6 || before >= total - round.roundLeft - 1e-6
}

const SIDE_NAMES: Readonly<Record<SideName, string>> = { front: 'Front boxing', right: 'Right boxing', back: 'Back boxing', left: 'Left boxing' }

/** Called by its side; by nothing when one strip goes all the way round. */
function stripName(solid: Solid, parts: readonly WallPart[], all: readonly (readonly WallPart[])[], i: number): { id: string; name: string } {
  if (all.length === 1) return { id: 'boxing', name: 'Boxing, front and sides' }
  const mainSide = (of: readonly WallPart[]): SideName => solid.edges[of.reduce((longest, p) => (p.to - p.from > longest.to - longest.from ? p : longest)).edge]!.side
  const side = mainSide(parts)
  const before = all.slice(0, i).filter((other) => mainSide(other) === side).length
  return before === 0 ? { id: `boxing-${side}`, name: SIDE_NAMES[side] } : { id: `boxing-${side}-${before + 1}`, name: `${SIDE_NAMES[side]} ${before + 1}` }
}

const ORDER: readonly string[] = ['boxing-front', 'boxing-left', 'boxing-right', 'boxing-back']
const frontFirst = (a: Strip, b: Strip): number => ORDER.findIndex((o) => a.panel.id.startsWith(o)) - ORDER.findIndex((o) => b.panel.id.startsWith(o))

interface Halves {
  readonly lower: Strip
  readonly upper: Strip
}

function gussetHalves(walls: { lower: Wall; upper: Wall }, parts: readonly WallPart[], thickness: Figure, run: Figure, allowances: Allowances): Halves {
  const half = over(thickness, given(2, 'count', 'halves'))
  const common = { role: 'gusset', isSeen: false, width: run, height: half, rule: 'each half finishes at half the thickness; together they make the boxing height' } as const
  const lower = stripOf(walls.lower, { ...common, id: 'gusset-lower', name: 'Gusset, lower half', parts, zip: 'top' }, allowances)
  // The upper half stands on the lower one: its parts begin where those end.
  const upperParts = lower.parts.map((p): WallPart => ({ edge: p.part.edge, from: p.topFrom, to: p.topTo }))
  return { lower, upper: stripOf(walls.upper, { ...common, id: 'gusset-upper', name: 'Gusset, upper half', parts: upperParts, zip: 'bottom' }, allowances) }
}

function zipPairs({ upper, lower }: Halves): readonly SeamPair[] {
  const pairs = upper.parts.map((part, i) => ({ a: upper.along('bottom', part), b: lower.along('top', lower.parts[i]!) }))
  // Parts on one straight zip edge are one seam.
  return pairs.reduce<SeamPair[]>((merged, pair) => {
    const last = merged.at(-1)
    if (last && last.a.edge === pair.a.edge && last.b.edge === pair.b.edge) merged[merged.length - 1] = { a: { ...last.a, to: pair.a.to }, b: { ...last.b, to: pair.b.to } }
    else merged.push(pair)
    return merged
  }, [])
}

/** An end of the boxing sewn to both halves of the gusset, which starts at the boxing's end and ends at its start. */
function gussetEnds(strip: Strip, { lower, upper }: Halves, end: 'start' | 'end'): readonly SeamPair[] {
  const other = end === 'end' ? 'start' : 'end'
  const [low, high] = [stretchLength(lower.up(other, 0, 1)), stretchLength(upper.up(other, 0, 1))]
  const middle = low / (low + high)
  return [
    { a: strip.up(end, 0, middle), b: lower.up(other, 0, 1) },
    { a: strip.up(end, middle, 1), b: upper.up(other, 0, 1) },
  ]
}

/** Everything that meets one plate, once round. */
function ring(plate: Plate, line: 'top' | 'bottom', strips: readonly Strip[]): readonly SeamPair[] {
  return strips.flatMap((strip) =>
    strip.parts.map((part) => ({
      a: line === 'bottom' ? plate.stretch(part.part.edge, part.part.from, part.part.to) : plate.stretch(part.part.edge, part.topFrom, part.topTo),
      b: strip.along(line, part),
    })),
  )
}

function* letterSequence(): Generator<string> {
  for (let n = 0; ; n++) yield n < 26 ? String.fromCharCode(65 + n) : `${String.fromCharCode(64 + Math.floor(n / 26))}${String.fromCharCode(65 + (n % 26))}`
}
