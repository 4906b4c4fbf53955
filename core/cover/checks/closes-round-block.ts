import type { Sizing } from '../../filling/index.ts'
import { areaOf, atHeight, boxOf, perimeterOf, type Outline } from '../../outline/index.ts'
import type { Cover } from '../cover.ts'
import { edgeIndex, finishedEdgeLength, type Panel } from '../panel.ts'
import type { Stretch } from '../seam.ts'
import { wallArea } from '../wall.ts'
import { seamTolerance } from './seam-lengths.ts'

/**
 * Sewn up, the panels must form one closed surface (Euler: corners − seam stretches + panels = 2)
 * with the area of the cover's plates and sides, worked out without unrolling anything.
 */
export function closesRoundBlock(cover: Cover, sizing: Sizing): readonly string[] {
  const faults: string[] = []
  const euler = eulerNumber(cover)
  if (euler !== 2) faults.push(`the panels do not close into one surface (corners − seams + panels = ${euler}, not 2)`)
  const { outline, edges, thickness } = sizing.cover
  const [middle, top] = [0.5, 1].map((share) => atHeight(outline, edges.map((e) => e.leanRad), share * thickness.value)) as [Outline, Outline]
  const wanted = areaOf(outline) + areaOf(top) + wallArea({ foot: outline, middle, top, heightMm: thickness.value })
  const sewn = cover.panels.reduce((sum, p) => sum + areaOf(p.finished), 0)
  const box = boxOf(outline)
  if (Math.abs(sewn - wanted) > seamTolerance(perimeterOf(outline)) * (box.maxX + box.maxY + thickness.value)) faults.push(`the sewn area is ${(sewn / 1e6).toFixed(3)} m², the cover's surface has ${(wanted / 1e6).toFixed(3)} m²`)
  return faults
}

/** Corners − seam stretches + panels of the sewn surface; 2 for anything that closes like a ball. */
export function eulerNumber(cover: Cover): number {
  const places = new Places(cover.panels)
  let stretches = 0
  for (const pair of cover.seams.flatMap((s) => s.pairs)) {
    places.unite(pair.a, pair.a.from, pair.b, pair.b.from)
    places.unite(pair.a, pair.a.to, pair.b, pair.b.to)
    stretches++
  }
  return places.corners() - stretches + cover.panels.length
}

const HAIR_MM = 0.3

/** Places on panel boundaries, joined into the corners they become when sewn. */
class Places {
  private readonly parent = new Map<string, string>()
  private readonly panels: ReadonlyMap<string, Panel>
  private readonly found = new Map<string, number[]>()

  constructor(panels: readonly Panel[]) {
    this.panels = new Map(panels.map((p) => [p.id, p]))
  }

  unite(a: Stretch, alongA: number, b: Stretch, alongB: number): void {
    this.parent.set(this.root(this.key(a, alongA)), this.root(this.key(b, alongB)))
  }

  corners(): number {
    return new Set([...this.parent.keys()].map((k) => this.root(k))).size
  }

  /** Distance round the panel, so that the end of one edge is the start of the next; places nearer than a hair are one. */
  private key(on: Stretch, along: number): string {
    const panel = this.panels.get(on.panel)!
    const before = panel.edges.slice(0, edgeIndex(panel, on.edge)).reduce((sum, e) => sum + finishedEdgeLength(panel, e.name), 0)
    const round = perimeterOf(panel.finished)
    const place = (((before + along) % round) + round) % round
    const known = this.found.get(panel.id) ?? []
    this.found.set(panel.id, known)
    const apart = (a: number, b: number) => Math.min(Math.abs(a - b), round - Math.abs(a - b))
    const same = known.findIndex((k) => apart(k, place) < HAIR_MM)
    return `${panel.id}@${same >= 0 ? same : known.push(place) - 1}`
  }

  private root(key: string): string {
    const up = this.parent.get(key)
    if (up === undefined) this.parent.set(key, key)
    return up === undefined || up === key ? key : this.root(up)
  }
}
