import { phrase } from '../../language/index.ts'
import type { ClothRole } from '../../../contract/index.ts'
import { edgeLength } from '../../outline/index.ts'
import type { SideName, Solid } from '../../seat/index.ts'
import {
  entered,
  figure,
  given,
  minus,
  over,
  plus,
  times,
  type Expression,
  type Figure,
  type Operand,
} from '../../working/index.ts'
import type { PanelFace, PanelRole } from '../panel.ts'
import type { PanelHead } from './panel-draft.ts'
import { stretchLength, type SeamDraft, type SeamPair } from '../seam.ts'
import { wallOf, type Wall, type WallPart } from '../wall.ts'
import { pieced } from './pieced.ts'
import { edgeNames, isLevelBox, plateOf, type Plate } from './plates.ts'
import { endToStart, isWholeEdge, stripOf, type EdgeKind, type Strip } from './strips.ts'
import { allRound, boxingRuns, shareWall, sideOrBack, type WallRound } from './wall-round.ts'

/**
 * The two strips of a side that opens: each finishes at its share of the thickness, up to the line where they close.
 */
export interface OpeningStrips {
  readonly id: string
  readonly name: string
  readonly role: Extract<PanelRole, 'gusset' | 'boxing'>
  readonly face: PanelFace
  readonly cloth: ClothRole
  readonly edge: EdgeKind
  /** Where the closing line runs, as a share of the thickness from the foot. */
  readonly share: number
  /** The strip of zip that shows between their folds: they finish lower by so much together. */
  readonly shows: Figure | null
  /** How far they run on round each corner; null: they end at the corners. */
  readonly round: Figure | null
  readonly rule: string
}

export interface BoxFrameInput {
  readonly solid: Solid
  readonly boxing: 'wrap' | 'one-per-side'
  /** The side that opens, or where the boxing begins. */
  readonly side: SideName
  readonly opening: OpeningStrips | null
  readonly plateEdge: readonly Figure[]
  readonly boxingEdge: readonly Figure[]
  readonly boxingEnd: readonly Figure[]
  /** The longest strip that the cloth gives, sewing line to sewing line; null: no limit. */
  readonly longestMm: number | null
  /** Added to the boxing's ends beside the opening. */
  readonly pocket: readonly Figure[]
}

export interface BoxFrame {
  readonly wall: Wall
  readonly plates: { readonly top: Plate; readonly bottom: Plate }
  readonly strips: readonly Strip[]
  readonly halves: { readonly lower: Strip; readonly upper: Strip } | null
  /** Length of the opening strips. */
  readonly run: Figure | null
  readonly perimeter: Figure
  readonly round: WallRound
  /** Joins in the boxing beyond those at its corners. */
  readonly joined: number
  /** Everything that meets each plate, once round, counter-clockwise. */
  readonly rings: { readonly top: readonly SeamPair[]; readonly bottom: readonly SeamPair[] }
}

/** Two plates and the sides between them in strips, on any outline, upright or leaning. */
export function boxFrame(input: BoxFrameInput): BoxFrame {
  const { solid, opening } = input
  const wall = wallOf(solid)
  const side = sideOrBack(solid.edges, input.side)
  const lengths = edgeFigures(solid)
  const round = shareWall(wall, solid.edges, side, opening?.round?.value ?? 0)
  const sums = new PartSums(wall, lengths, opening?.round ?? null)
  const plates = {
    top: plateOf(solid, {
      which: 'top',
      outline: wall.top,
      heightMm: wall.heightMm,
      cloth: 'face',
      allowances: input.plateEdge,
    }),
    bottom: plateOf(solid, {
      which: 'bottom',
      outline: wall.foot,
      heightMm: 0,
      cloth: 'second-face',
      allowances: input.plateEdge,
    }),
  }
  const run =
    opening &&
    figure({
      id: 'cover.gussetRun',
      label: phrase`${opening.name} run`,
      quantity: 'length',
      line: 'net',
      sum: openingSum(round, wall, lengths, opening.round),
      rule: opening.round ? 'the side that opens, and round both its corners' : 'the side that opens',
    })
  const boxing = opening ? round.boxing : allRound(wall, solid.edges, side)
  const whole = boxingRuns(wall, solid.edges, boxing, input.boxing === 'one-per-side')
  const runs = whole.flatMap((run) => pieced(wall, solid.edges, run, input.longestMm))
  const seam: EdgeKind = { treatment: 'seam', allowances: input.boxingEdge }
  const strips = runs.map((parts, i) =>
    stripOf(wall, {
      head: {
        ...stripName(solid, parts, runs, i),
        role: 'boxing',
        cloth: 'boxing',
        isSeen: true,
        rule: 'boxing finishes at the thickness, measured along the sewing line',
      },
      parts,
      width: sums.of(parts),
      height: solid.thickness,
      bottom: seam,
      top: seam,
      start: { treatment: 'seam', allowances: i === 0 ? [...input.boxingEnd, ...input.pocket] : input.boxingEnd },
      end: {
        treatment: 'seam',
        allowances: i === runs.length - 1 ? [...input.boxingEnd, ...input.pocket] : input.boxingEnd,
      },
      liftMm: 0,
    }),
  )
  const halves = opening && openingHalves(solid, round.gusset, opening, run!, input)
  const rings = {
    top: ringPairs(plates.top, 'top', halves ? [...strips, halves.upper] : strips),
    bottom: ringPairs(plates.bottom, 'bottom', halves ? [...strips, halves.lower] : strips),
  }
  return {
    wall,
    plates,
    strips,
    halves,
    run,
    perimeter: perimeterFigure(solid, lengths),
    round,
    rings,
    joined: runs.length - whole.length,
  }
}

/** Panels in the order in which they are listed: plates, boxing from the front on, then what opens. */
export const framePanels = ({ plates, strips, halves }: BoxFrame) => [
  plates.top.panel,
  plates.bottom.panel,
  ...strips.toSorted(frontFirst).map((s) => s.panel),
  ...(halves ? [halves.upper.panel, halves.lower.panel] : []),
]

export const framePatches = ({ plates, strips, halves }: BoxFrame) => [
  plates.top.patch,
  plates.bottom.patch,
  ...strips.flatMap((s) => s.patches),
  ...(halves ? [...halves.upper.patches, ...halves.lower.patches] : []),
]

/** The joins of the boxing to itself and to what opens, in the order in which the ring is made. */
export function ringJoins({ strips, halves }: BoxFrame, opens = ''): readonly SeamDraft[] {
  const name = (s: Strip) => s.panel.name.toLowerCase()
  const join = (says: string, pairs: readonly SeamPair[]): SeamDraft => ({ name: says, kind: 'join', pairs })
  const inner = strips
    .slice(1)
    .map((after, i) => join(phrase`${name(strips[i]!)} to ${name(after)}`, [endToStart(strips[i]!, after)]))
  if (!halves)
    return [
      ...inner,
      join(strips.length > 1 ? phrase`${name(strips.at(-1)!)} to ${name(strips[0]!)}` : 'the ends of the boxing', [
        endToStart(strips.at(-1)!, strips[0]!),
      ]),
    ]
  const one = strips.length === 1
  return [
    ...inner,
    join(
      one ? phrase`right end of the boxing to ${opens}` : phrase`${name(strips.at(-1)!)} to ${opens}`,
      openingEnds(strips.at(-1)!, halves, 'end'),
    ),
    join(
      one ? phrase`left end of the boxing to ${opens}` : phrase`${name(strips[0]!)} to ${opens}`,
      openingEnds(strips[0]!, halves, 'start'),
    ),
  ]
}

function ringPairs(plate: Plate, line: 'top' | 'bottom', strips: readonly Strip[]): readonly SeamPair[] {
  return strips.flatMap((strip) =>
    strip.parts.map((part) => ({
      a:
        line === 'bottom'
          ? plate.stretch(part.part.edge, part.part.from, part.part.to)
          : plate.stretch(part.part.edge, part.topFrom, part.topTo),
      b: strip.along(line, part),
    })),
  )
}

/** The line where the halves close. */
export function closingPairs({ upper, lower }: { readonly upper: Strip; readonly lower: Strip }): readonly SeamPair[] {
  const pairs = upper.parts.map((part, i) => ({
    a: upper.along('bottom', part),
    b: lower.along('top', lower.parts[i]!),
  }))
  // Parts on one straight edge are one seam.
  return pairs.reduce<SeamPair[]>((merged, pair) => {
    const last = merged.at(-1)
    if (last && last.a.edge === pair.a.edge && last.b.edge === pair.b.edge)
      merged[merged.length - 1] = { a: { ...last.a, to: pair.a.to }, b: { ...last.b, to: pair.b.to } }
    else merged.push(pair)
    return merged
  }, [])
}

/** Length of each edge of the cover along its foot: a size of the box, or what the outline measures. */
function edgeFigures(solid: Solid): readonly Figure[] {
  if (isLevelBox(solid)) return [solid.width, solid.depth, solid.width, solid.depth]
  const names = edgeNames(solid.edges)
  return names.map((name, i) =>
    entered({
      id: `cover.edge.${name}`,
      label: phrase`Cover edge, ${name}`,
      quantity: 'length',
      line: 'net',
      value: edgeLength(solid.outline, i),
      rule: 'along the sewing line, from the outline',
    }),
  )
}

/** Once round the foot of a cushion, along the sewing line. */
export function perimeterFigure(solid: Solid, lengths: readonly Figure[] = edgeFigures(solid)): Figure {
  const sum =
    lengths.length === 4 && lengths[0] === lengths[2] ? times(2, plus(solid.width, solid.depth)) : plus(...lengths)
  return figure({
    id: 'cover.perimeter',
    label: 'Perimeter of the plate',
    quantity: 'length',
    line: 'net',
    sum,
    rule: 'along the sewing line',
  })
}

/** Says the length of wall parts as sums of edges and of k, how far the opening runs round a corner. */
class PartSums {
  constructor(
    private readonly wall: Wall,
    private readonly lengths: readonly Figure[],
    private readonly k: Figure | null,
  ) {}

  of(parts: readonly WallPart[]): Operand {
    const terms = parts.map((p) => this.one(p))
    return terms.length === 1 ? terms[0]! : plus(...terms)
  }

  private one(part: WallPart): Operand {
    const whole = this.lengths[part.edge]!
    if (isWholeEdge(this.wall, part)) return whole
    const rest = whole.value - (part.to - part.from)
    if (this.k && Math.abs(rest - this.k.value) < 1e-6) return minus(whole, this.k)
    return this.k && Math.abs(rest - 2 * this.k.value) < 1e-6
      ? minus(whole, times(2, this.k))
      : given(part.to - part.from, 'length', 'part of an edge')
  }
}

function openingSum(round: WallRound, wall: Wall, lengths: readonly Figure[], k: Figure | null): Expression {
  const isFull = (mm: number) => k !== null && Math.abs(mm - k.value) < 1e-6
  const backs = round.gusset
    .filter((p) => isWholeEdge(wall, p) && !isRoundCorner(round, p))
    .map((p) => lengths[p.edge]!)
  if (k && isFull(round.roundLeft) && isFull(round.roundRight))
    return plus(...backs, times(given(2, 'count', 'corners'), k))
  const past = [round.roundRight, round.roundLeft]
    .filter((mm) => mm > 1e-6)
    .map((mm) => (k && isFull(mm) ? k : given(mm, 'length', 'round a corner')))
  return plus(...backs, ...past)
}

/** Whether a part belongs to what the opening takes of the neighbouring sides. */
function isRoundCorner(round: WallRound, part: WallPart): boolean {
  const at = round.gusset.indexOf(part)
  const before = round.gusset.slice(0, at).reduce((sum, p) => sum + p.to - p.from, 0)
  const total = round.gusset.reduce((sum, p) => sum + p.to - p.from, 0)
  return before + (part.to - part.from) <= round.roundRight + 1e-6 || before >= total - round.roundLeft - 1e-6
}

const SIDE_NAMES: Readonly<Record<SideName, string>> = {
  front: 'Front boxing',
  right: 'Right boxing',
  back: 'Back boxing',
  left: 'Left boxing',
}

/** Called by its side; by nothing when one strip goes all the way round. */
function stripName(
  solid: Solid,
  parts: readonly WallPart[],
  all: readonly (readonly WallPart[])[],
  i: number,
): Pick<PanelHead, 'id' | 'name' | 'face'> {
  if (all.length === 1)
    return {
      id: 'boxing',
      face: 'round',
      name: parts.length === solid.edges.length ? 'Boxing, all round' : 'Boxing, front and sides',
    }
  const mainSide = (of: readonly WallPart[]): SideName =>
    solid.edges[of.reduce((longest, p) => (p.to - p.from > longest.to - longest.from ? p : longest)).edge]!.side
  const side = mainSide(parts)
  const before = all.slice(0, i).filter((other) => mainSide(other) === side).length
  return before === 0
    ? { id: `boxing-${side}`, face: side, name: SIDE_NAMES[side] }
    : { id: `boxing-${side}-${before + 1}`, face: side, name: `${SIDE_NAMES[side]} ${before + 1}` }
}

const ORDER: readonly PanelFace[] = ['front', 'left', 'right', 'back']
const frontFirst = (a: Strip, b: Strip): number => ORDER.indexOf(a.panel.face) - ORDER.indexOf(b.panel.face)

function openingHalves(
  solid: Solid,
  parts: readonly WallPart[],
  opening: OpeningStrips,
  run: Figure,
  input: BoxFrameInput,
): { lower: Strip; upper: Strip } {
  const { id, name, role, face, cloth, share, edge, rule } = opening
  const t = solid.thickness
  const closed: Operand = opening.shows ? minus(t, opening.shows) : t
  const lowerHeight =
    share === 0.5
      ? over(closed, given(2, 'count', 'halves'))
      : times(closed, given(share, 'share', 'below the closing line'))
  const upperHeight =
    share === 0.5 ? lowerHeight : minus(closed, times(closed, given(share, 'share', 'below the closing line')))
  const [low, high] = foldsOf(opening, t.value)
  const seam: EdgeKind = { treatment: 'seam', allowances: input.boxingEdge }
  const ends: EdgeKind = { treatment: 'seam', allowances: input.boxingEnd }
  const head = (half: 'lower' | 'upper') => ({
    id: `${id}-${half}`,
    name: phrase`${name}, ${half} half`,
    role,
    face,
    cloth,
    isSeen: role === 'boxing',
    rule,
  })
  const lower = stripOf(wallOf(solid, 0, low), {
    head: head('lower'),
    parts,
    width: run,
    height: lowerHeight,
    bottom: seam,
    top: edge,
    start: ends,
    end: ends,
    liftMm: 0,
  })
  // The upper half stands on the lower one: its parts begin where those end.
  const upperParts = lower.parts.map((p): WallPart => ({ edge: p.part.edge, from: p.topFrom, to: p.topTo }))
  return {
    lower,
    upper: stripOf(wallOf(solid, high, 1), {
      head: head('upper'),
      parts: upperParts,
      width: run,
      height: upperHeight,
      bottom: edge,
      top: seam,
      start: ends,
      end: ends,
      liftMm: high * t.value,
    }),
  }
}

/**
 * Where the folds of both halves lie, as shares of the thickness from the foot: on one line, but for what shows of the
 * zip.
 */
function foldsOf({ share, shows }: OpeningStrips, thicknessMm: number): readonly [number, number] {
  const shown = (shows?.value ?? 0) / thicknessMm
  const low = share * (1 - shown)
  return [low, low + shown]
}

/** An end of the boxing sewn to both halves of what opens, which starts at the boxing's end and ends at its start. */
function openingEnds(
  strip: Strip,
  { lower, upper }: { lower: Strip; upper: Strip },
  end: 'start' | 'end',
): readonly SeamPair[] {
  const other = end === 'end' ? 'start' : 'end'
  const whole = stretchLength(strip.up(end, 0, 1))
  const [low, high] = [stretchLength(lower.up(other, 0, 1)) / whole, 1 - stretchLength(upper.up(other, 0, 1)) / whole]
  // What shows of the zip is crossed by its tape alone: there the end lies on itself.
  const middle = (low + high) / 2
  return [
    { a: strip.up(end, 0, low), b: lower.up(other, 0, 1) },
    ...(high - low > 1e-9 ? [{ a: strip.up(end, low, middle), b: strip.up(end, high, middle) }] : []),
    { a: strip.up(end, high, 1), b: upper.up(other, 0, 1) },
  ]
}
