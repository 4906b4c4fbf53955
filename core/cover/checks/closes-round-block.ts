import { phrase } from '../../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import { areaOf, edgeLength, isStraight, onEdge, perimeterOf, type Outline } from '../../outline/index.ts'
import type { Cover } from '../cover.ts'
import { edgeIndex, finishedEdgeLength, type Panel } from '../panel.ts'
import { placeOn, type Patch } from '../patch.ts'
import { stretchLength, type Seam, type SeamPair, type Stretch } from '../seam.ts'
import { spaceBetween } from '../space.ts'
import { sayAmountWithUnit } from '../../working/index.ts'
import { seamTolerance } from './seam-lengths.ts'

type Say = (mm: number) => string

/**
 * Sewn up, the panels must form surfaces that close but for rims that are free on purpose (Euler:
 * corners − seam stretches + panels + rims = 2 for each), have the area of the finished cushion
 * worked out without them, and lie round it in space so that the two sides of every seam meet and no
 * cloth is stretched.
 */
export function closesRoundBlock(cover: Cover, unit: LengthUnit = 'mm'): readonly string[] {
  const say: Say = (mm) => formatLengthWithUnit(mm, unit)
  return [
    ...doesNotClose(cover),
    ...areaFaults(cover, unit),
    ...cover.patches.flatMap((p) => stretchFault(p, cover, say)),
    ...cover.seams.flatMap((s) => s.pairs.flatMap((pair) => apartFault(pair, cover, s, say))),
  ]
}

function doesNotClose(cover: Cover): readonly string[] {
  if (cover.seams.every((s) => s.pairs.length === 0)) return []
  const { surfaces, sum } = eulerNumber(cover)
  return sum === 2 * surfaces
    ? []
    : [
        phrase`the panels do not close into ${surfaces === 1 ? 'one surface' : phrase`${surfaces} surfaces`} (corners − seams + panels + rims = ${sum}, not ${2 * surfaces})`,
      ]
}

function areaFaults({ panels, surfaceMm2, perimeter }: Cover, unit: LengthUnit): readonly string[] {
  if (surfaceMm2 === null) return []
  const sewn = panels.filter((p) => p.face !== 'loose').reduce((sum, p) => sum + areaOf(p.finished), 0)
  const slack = seamTolerance(perimeter.value) * Math.max(perimeter.value, 1) * 0.5
  return Math.abs(sewn - surfaceMm2) > slack
    ? [
        phrase`the sewn area is ${sayAmountWithUnit(sewn, 'area', unit)}, the cover's surface has ${sayAmountWithUnit(surfaceMm2, 'area', unit)}`,
      ]
    : []
}

/** Enough for chords to stay within the tolerance of a seam, even once round a roll. */
const CHORDS = 40

/** A flat patch keeps every distance, a bent one the length of every edge. */
function stretchFault({ panel, bend, outline, place }: Patch, { panels }: Cover, say: Say): readonly string[] {
  if (bend === 'full') return []
  const faults = outline.flatMap((_, i) => {
    const flat = edgeLength(outline, i)
    const steps = bend === 'flat' && isStraight(outline[i]!.bulge) ? 1 : CHORDS
    const points = Array.from({ length: steps + 1 }, (_, k) => place(onEdge(outline, i, k / steps)))
    const made = points.slice(1).reduce((sum, p, k) => sum + spaceBetween(points[k]!, p), 0)
    return Math.abs(made - flat) <= seamTolerance(flat)
      ? []
      : [phrase`${panels.find((p) => p.id === panel)!.name} is stretched: ${say(flat)} of it lie along ${say(made)}`]
  })
  return faults.slice(0, 1)
}

/** The two sides of a seam lie in the same places of the finished cushion. */
function apartFault({ a, b }: SeamPair, cover: Cover, { letter, apartMm = 0 }: Seam, say: Say): readonly string[] {
  if (a.panel === b.panel && a.edge === b.edge) return []
  const limit = apartMm + 0.5 + seamTolerance(stretchLength(a))
  const apart = [0, 0.5, 1].map((share) => {
    const [p, q] = [inPlace(a, share, cover), inPlace(b, share, cover)]
    return p && q ? spaceBetween(p, q) : 0
  })
  const worst = Math.max(...apart)
  return worst <= limit
    ? []
    : [phrase`seam ${letter}: ${a.panel} ${a.edge} and ${b.panel} ${b.edge} lie ${say(worst)} apart on the cushion`]
}

function inPlace(on: Stretch, share: number, { panels, patches }: Cover) {
  const panel = panels.find((p) => p.id === on.panel)!
  const i = edgeIndex(panel, on.edge)
  return placeOn(
    patches,
    on.panel,
    onEdge(panel.finished, i, (on.from + share * (on.to - on.from)) / edgeLength(panel.finished, i)),
  )
}

/**
 * Corners − seam stretches + panels + rims of the sewn surfaces, and how many surfaces there are: 2 for each that
 * closes like a ball.
 */
export function eulerNumber(cover: Pick<Cover, 'panels' | 'seams'>): {
  readonly surfaces: number
  readonly sum: number
} {
  const pairs = cover.seams.flatMap((s) => s.pairs)
  const sewn = cover.panels.filter((p) => pairs.some(({ a, b }) => a.panel === p.id || b.panel === p.id))
  const places = new Places(sewn)
  const surfaces = new Joined()
  for (const { a, b } of pairs) {
    places.unite(a, a.from, b, b.from)
    places.unite(a, a.to, b, b.to)
    if (isSliver({ a, b })) places.unite(a, a.from, a, a.to)
    surfaces.unite(a.panel, b.panel)
  }
  // A free edge is an edge of the surface as well; free edges that follow each other are one rim.
  const free = freeEdges(sewn)
  const rims = new Joined()
  for (const { panel, edge } of free) {
    const length = finishedEdgeLength(panel, edge)
    const on: Stretch = { panel: panel.id, edge, from: 0, to: length }
    rims.unite(places.mark(on, 0), places.mark(on, length))
  }
  return {
    surfaces: surfaces.count(),
    sum: places.corners() - pairs.filter((p) => !isSliver(p)).length - free.length + sewn.length + rims.count(),
  }
}

/** Where two joins all but meet, the stretch between them is no seam: its ends are one corner. */
const isSliver = ({ a, b }: SeamPair): boolean => Math.min(stretchLength(a), stretchLength(b)) <= HAIR_MM + 1e-6

const freeEdges = (panels: readonly Panel[]) =>
  panels.flatMap((panel) => panel.edges.filter((e) => isFree(e.treatment)).map((e) => ({ panel, edge: e.name })))

/** Hemmed, stapled and bonded edges are free on purpose. */
export const isFree = (treatment: Panel['edges'][number]['treatment']): boolean =>
  treatment === 'hem' || treatment === 'staple' || treatment === 'bond'

/** Things that turn out to be one. */
class Joined {
  private readonly parent = new Map<string, string>()

  unite(a: string, b: string): void {
    this.parent.set(this.root(a), this.root(b))
  }

  count(): number {
    return new Set([...this.parent.keys()].map((k) => this.root(k))).size
  }

  root(key: string): string {
    const up = this.parent.get(key)
    if (up === undefined) this.parent.set(key, key)
    return up === undefined || up === key ? key : this.root(up)
  }
}

const HAIR_MM = 0.3

/** Places on panel boundaries, joined into the corners they become when sewn. */
class Places {
  private readonly joined = new Joined()
  private readonly panels: ReadonlyMap<
    string,
    { readonly panel: Panel; readonly starts: ReadonlyMap<string, number>; readonly round: number }
  >
  private readonly found = new Map<string, number[]>()

  constructor(panels: readonly Panel[]) {
    this.panels = new Map(
      panels.map((panel) => [
        panel.id,
        {
          panel,
          starts: startsOf(
            panel.finished,
            panel.edges.map((e) => e.name),
          ),
          round: perimeterOf(panel.finished),
        },
      ]),
    )
  }

  unite(a: Stretch, alongA: number, b: Stretch, alongB: number): void {
    this.joined.unite(this.key(a, alongA), this.key(b, alongB))
  }

  /** The corner at a place, which is one from now on. */
  mark(on: Stretch, along: number): string {
    return this.joined.root(this.key(on, along))
  }

  corners(): number {
    return this.joined.count()
  }

  /**
   * Distance round the panel, so that the end of one edge is the start of the next; places nearer than a hair are one.
   */
  private key(on: Stretch, along: number): string {
    const { panel, starts, round } = this.panels.get(on.panel)!
    const place = ((((starts.get(on.edge) ?? 0) + along) % round) + round) % round
    const known = this.found.get(panel.id) ?? []
    this.found.set(panel.id, known)
    const apart = (a: number, b: number) => Math.min(Math.abs(a - b), round - Math.abs(a - b))
    const same = known.findIndex((k) => apart(k, place) < HAIR_MM)
    return `${panel.id}@${same >= 0 ? same : known.push(place) - 1}`
  }
}

function startsOf(outline: Outline, names: readonly string[]): ReadonlyMap<string, number> {
  let before = 0
  return new Map(
    names.map((name, i) => {
      const start = before
      before += edgeLength(outline, i)
      return [name, start]
    }),
  )
}
