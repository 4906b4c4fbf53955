import type { MakeUp } from '../../../contract/index.ts'
import type { CushionSize } from '../../seat/index.ts'
import { figure, given, least, minus, over, plus, times, type Figure } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Cover } from '../cover.ts'
import { markNotches } from '../notches.ts'
import type { Panel } from '../panel.ts'
import { planPiping } from '../piping/piping.ts'
import { stretch, type Seam, type SeamPair } from '../seam.ts'
import { rectanglePanel, type EdgeDraft } from './strip.ts'

export interface BoxedInput {
  readonly size: CushionSize
  readonly makeUp: MakeUp
  /** Matching stripes forces one piece per side. */
  readonly boxing: 'wrap' | 'one-per-side'
  readonly allowances: Allowances
}

/**
 * Boxed cover with square corners: two plates, boxing round front and sides, and a gusset in two
 * halves with the zip between them, across the back and round both back corners by k, the smaller
 * of the shop's limit and a quarter of the depth.
 */
export function boxed({ size, makeUp, boxing, allowances }: BoxedInput): Cover {
  const { width, depth } = size
  const perimeter = figure({ id: 'cover.perimeter', label: 'Perimeter of the plate', quantity: 'length', line: 'net', sum: times(2, plus(width, depth)), rule: 'along the sewing line' })
  const k = figure({ id: 'cover.zipRoundCorner', label: 'Zip round each corner', quantity: 'length', sum: least(allowances.zipRoundCornerMm, over(depth, given(4, 'count', 'a quarter of the depth'))), rule: "the smaller of the shop's limit and a quarter of the depth", change: 'make-up.zipRoundCornerMm' })
  const run = figure({ id: 'cover.gussetRun', label: 'Gusset run', quantity: 'length', line: 'net', sum: plus(width, times(given(2, 'count', 'corners'), k)), rule: 'the back, and round both corners' })
  const side = figure({ id: 'cover.sideBoxing', label: 'Side boxing', quantity: 'length', line: 'net', sum: minus(depth, k), rule: 'the depth less what the gusset takes' })

  const plates = { top: plate('top-plate', 'Top plate', size, allowances, true), bottom: plate('bottom-plate', 'Bottom plate', size, allowances, true) }
  const gusset = gussetHalves(size.thickness, run, allowances)
  const strips = boxing === 'wrap' ? wrapBoxing(size, side, perimeter, run, allowances) : boxingPerSide(size, side, allowances)
  const panels = [plates.top, plates.bottom, ...strips.panels, gusset.upper, gusset.lower]
  const seams: readonly Seam[] = [
    { letter: 'A', name: 'zip into the gusset', kind: 'closure', pairs: [{ a: stretch(gusset.upper, 'zip', 0, run.value), b: stretch(gusset.lower, 'zip', 0, run.value) }] },
    ...strips.joins,
    ...gussetJoins(strips, gusset, size.thickness.value),
    { letter: 'F', name: 'boxing and gusset to the bottom plate', kind: 'plate', pairs: plateRing(plates.bottom, 'bottom', strips, gusset.lower, size, k.value) },
    { letter: 'G', name: 'boxing and gusset to the top plate', kind: 'plate', pairs: plateRing(plates.top, 'top', strips, gusset.upper, size, k.value) },
  ]
  return {
    panels: markNotches(panels, seams),
    seams,
    closure: { kind: 'zip', seam: 'A', lengthMm: run },
    piping: makeUp.piping.rows === 'none' ? null : planPiping(makeUp.piping, perimeter, plates.top, allowances),
    perimeter,
  }
}

/** Pieces of boxing from the left zip end, round the front, to the right zip end. */
interface Strips {
  readonly panels: readonly Panel[]
  readonly joins: readonly Seam[]
  /** Which panel lies along a side, and where along it that side begins. */
  readonly along: Readonly<Record<'left' | 'front' | 'right', { readonly panel: Panel; readonly startMm: number }>>
}

const seamEdge = (name: string, allowances: Allowances): EdgeDraft => ({ name, treatment: 'seam', allowances: [allowances.seamMm] })

function plate(id: string, name: string, size: CushionSize, allowances: Allowances, isSeen: boolean): Panel {
  const edge = (side: string) => seamEdge(side, allowances)
  return rectanglePanel({ id, name, role: 'plate', isSeen, width: size.width, height: size.depth, rule: 'the plate finishes at the cover size', edges: [edge('front'), edge('right'), edge('back'), edge('left')] })
}

function boxingStrip(id: string, name: string, length: Figure, thickness: Figure, allowances: Allowances): Panel {
  const edge = (side: string) => seamEdge(side, allowances)
  return rectanglePanel({ id, name, role: 'boxing', isSeen: true, width: length, height: thickness, rule: 'boxing finishes at the thickness, measured along the sewing line', edges: [edge('bottom'), edge('end'), edge('top'), edge('start')] })
}

function wrapBoxing(size: CushionSize, side: Figure, perimeter: Figure, run: Figure, allowances: Allowances): Strips {
  const length = figure({ id: 'cover.boxingRun', label: 'Boxing, front and sides', quantity: 'length', line: 'net', sum: minus(perimeter, run), rule: 'the perimeter less the gusset' })
  const wrap = boxingStrip('boxing', 'Boxing, front and sides', length, size.thickness, allowances)
  const front = side.value
  return { panels: [wrap], joins: [], along: { left: { panel: wrap, startMm: 0 }, front: { panel: wrap, startMm: front }, right: { panel: wrap, startMm: front + size.width.value } } }
}

function boxingPerSide(size: CushionSize, side: Figure, allowances: Allowances): Strips {
  const left = boxingStrip('boxing-left', 'Left boxing', side, size.thickness, allowances)
  const front = boxingStrip('boxing-front', 'Front boxing', size.width, size.thickness, allowances)
  const right = boxingStrip('boxing-right', 'Right boxing', side, size.thickness, allowances)
  const t = size.thickness.value
  return {
    panels: [front, left, right],
    joins: [
      { letter: 'B', name: 'left boxing to front boxing', kind: 'join', pairs: [{ a: stretch(left, 'end', 0, t), b: stretch(front, 'start', 0, t) }] },
      { letter: 'C', name: 'front boxing to right boxing', kind: 'join', pairs: [{ a: stretch(front, 'end', 0, t), b: stretch(right, 'start', 0, t) }] },
    ],
    along: { left: { panel: left, startMm: 0 }, front: { panel: front, startMm: 0 }, right: { panel: right, startMm: 0 } },
  }
}

function gussetHalves(thickness: Figure, run: Figure, allowances: Allowances): { upper: Panel; lower: Panel } {
  const half = over(thickness, given(2, 'count', 'halves'))
  const outer = (name: string) => seamEdge(name, allowances)
  const zip: EdgeDraft = { name: 'zip', treatment: 'zip', allowances: [allowances.gussetTurnMm] }
  const common = { role: 'gusset', isSeen: false, width: run, height: half, rule: 'each half finishes at half the thickness; together they make the boxing height' } as const
  return {
    upper: rectanglePanel({ ...common, id: 'gusset-upper', name: 'Gusset, upper half', edges: [zip, outer('end'), outer('top'), outer('start')] }),
    lower: rectanglePanel({ ...common, id: 'gusset-lower', name: 'Gusset, lower half', edges: [outer('bottom'), outer('end'), zip, outer('start')] }),
  }
}

/** The gusset, seen from behind, starts at the right-hand boxing and ends at the left-hand one. */
function gussetJoins(strips: Strips, gusset: { upper: Panel; lower: Panel }, t: number): readonly Seam[] {
  const ends = (boxing: Panel, boxingEdge: 'start' | 'end', gussetEdge: 'start' | 'end'): readonly SeamPair[] => [
    { a: stretch(boxing, boxingEdge, 0, t / 2), b: stretch(gusset.lower, gussetEdge, 0, t / 2) },
    { a: stretch(boxing, boxingEdge, t / 2, t), b: stretch(gusset.upper, gussetEdge, 0, t / 2) },
  ]
  return [
    { letter: 'D', name: 'right boxing to the gusset', kind: 'join', pairs: ends(strips.along.right.panel, 'end', 'start') },
    { letter: 'E', name: 'left boxing to the gusset', kind: 'join', pairs: ends(strips.along.left.panel, 'start', 'end') },
  ]
}

/** Everything that meets one plate, once round: left, front and right boxing, then the gusset. */
function plateRing(plate: Panel, edge: 'top' | 'bottom', strips: Strips, gusset: Panel, size: CushionSize, k: number): readonly SeamPair[] {
  const [w, d] = [size.width.value, size.depth.value]
  const boxing = (side: 'left' | 'front' | 'right', from: number, to: number) => {
    const { panel, startMm } = strips.along[side]
    return stretch(panel, edge, startMm + from, startMm + to)
  }
  const gussetEdge = (from: number, to: number) => stretch(gusset, edge, from, to)
  return [
    { a: stretch(plate, 'left', d - k, 0), b: boxing('left', 0, d - k) },
    { a: stretch(plate, 'front', 0, w), b: boxing('front', 0, w) },
    { a: stretch(plate, 'right', 0, d - k), b: boxing('right', 0, d - k) },
    { a: stretch(plate, 'right', d - k, d), b: gussetEdge(0, k) },
    { a: stretch(plate, 'back', w, 0), b: gussetEdge(k, k + w) },
    { a: stretch(plate, 'left', d, d - k), b: gussetEdge(k + w, k + w + k) },
  ]
}
