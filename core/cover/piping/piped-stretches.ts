import type { Side } from '../../../contract/index.ts'
import { edgeLength } from '../../outline/index.ts'
import type { PipingRow } from '../cover.ts'
import { edgeIndex, type Panel } from '../panel.ts'
import { partnerPlace, type SeamPair } from '../seam.ts'
import type { PipingChoice } from './piping-plan.ts'

/** A stretch of a row, and whether it is piped. */
export interface PipedStretch {
  readonly pair: SeamPair
  readonly isPiped: boolean
}

/**
 * A row in stretches that are piped or bare, once round: each row has its own sides, and a side may be piped from one
 * place to another. Edges that belong to no side always are.
 */
export function stretchesOf(choice: PipingChoice, row: PipingRow, panels: readonly Panel[]): readonly PipedStretch[] {
  const sides = row.row === 'bottom' ? (choice.bottomSides ?? choice.sides) : choice.sides
  return row.pairs.flatMap((pair): readonly PipedStretch[] => {
    const panel = panels.find((p) => p.id === pair.a.panel)!
    const edge = panel.edges.find((e) => e.name === pair.a.edge)!
    if (edge.side === undefined) return [{ pair, isPiped: true }]
    if (!sides.includes(edge.side)) return [{ pair, isPiped: false }]
    const part = choice.parts?.find((p) => p.row === row.row && p.side === edge.side)
    return part ? inPart(pair, row, panel, edge.side, part) : [{ pair, isPiped: true }]
  })
}

/** A pair parted where the piping of its side starts and stops. */
function inPart(
  pair: SeamPair,
  row: PipingRow,
  panel: Panel,
  side: Side,
  part: { readonly fromMm: number; readonly toMm: number },
): readonly PipedStretch[] {
  const { startMm, wholeMm } = alongSide(panel, side, pair.a.edge)
  // Drawn right side up the top runs from left to right before each side, the bottom from right to left.
  const isUnder = row.row === 'bottom'
  const [from, to] = isUnder ? [wholeMm - part.toMm, wholeMm - part.fromMm] : [part.fromMm, part.toMm]
  const [low, high] = [from - startMm, to - startMm]
  const { a } = pair
  const within = [low, high].filter((v) => v > Math.min(a.from, a.to) + HAIR_MM && v < Math.max(a.from, a.to) - HAIR_MM)
  const places = [a.from, ...(a.from <= a.to ? within : within.toReversed()), a.to]
  return places.slice(1).map((end, i) => {
    const start = places[i]!
    const middle = (start + end) / 2
    return { pair: between(pair, start, end), isPiped: middle > low && middle < high }
  })
}

const HAIR_MM = 1e-6

/** Where an edge begins along the edges of its side, and how long all of them are. */
function alongSide(panel: Panel, side: Side, edge: string): { readonly startMm: number; readonly wholeMm: number } {
  const n = panel.edges.length
  const own = panel.edges.flatMap((e, i) => (e.side === side ? [i] : []))
  const first = own.find((i) => panel.edges[(i + n - 1) % n]!.side !== side) ?? own[0]!
  let [startMm, wholeMm] = [0, 0]
  for (let k = 0; k < n && panel.edges[(first + k) % n]!.side === side; k++) {
    const i = (first + k) % n
    if (i === edgeIndex(panel, edge)) startMm = wholeMm
    wholeMm += edgeLength(panel.finished, i)
  }
  return { startMm, wholeMm }
}

const between = ({ a, b }: SeamPair, from: number, to: number): SeamPair => ({
  a: { ...a, from, to },
  b: { ...b, from: partnerPlace(a, b, from), to: partnerPlace(a, b, to) },
})
