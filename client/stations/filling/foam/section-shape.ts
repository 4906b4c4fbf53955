import {
  pressed,
  riseMm,
  stackOf,
  sunkUnder,
  touchMm,
  type LoadCase,
  type SettledLayer,
} from '../../../../core/filling/index.ts'

type Line = readonly (readonly [x: number, y: number])[]

/** One sitter at rest, as lines of height above the board over the distance from its middle; millimetres. */
export interface Rest {
  /** From the board up: the boundary above each layer. */
  readonly boundaries: readonly Line[]
  /** The surface at the end of the foam's life. */
  readonly aged: Line
  /** The underside of the body. */
  readonly body: Line
}

const POINTS = 96
/** Foam shown beside the body, as a share of how far it reaches. */
const BESIDE = 0.3

/** A section wide enough for one body and the foam beside it. */
export const sectionWidthMm = ({ body }: LoadCase): number => 2 * body.reachMm * (1 + BESIDE)

/** The body's round and the foam under it, as the model has them: column by column. */
export function restOf(layers: readonly SettledLayer[], load: LoadCase, which: 0 | 1 | 2): Rest {
  const { body, sitters } = load
  const [fresh, old] = [stackOf(pressed(layers, 0)), stackOf(pressed(layers, 1))]
  const { totalMm } = fresh
  const { restN } = sitters[which]
  const depth = { fresh: sunkUnder(restN, body, fresh).depthMm, aged: sunkUnder(restN, body, old).depthMm }
  const half = sectionWidthMm(load) / 2
  const xs = Array.from({ length: POINTS + 1 }, (_, i) => -half + (2 * half * i) / POINTS)
  const shortenedMm = (x: number, depthMm: number) =>
    Math.abs(x) < touchMm(body, depthMm) ? Math.max(0, depthMm - riseMm(body, Math.abs(x))) : 0
  const columns = xs.map((x) => fresh.layerStrains(shortenedMm(x, depth.fresh) / totalMm))
  return {
    boundaries: layers.map((_, i) =>
      xs.map((x, c) => [
        x,
        layers.slice(0, i + 1).reduce((sum, l, k) => sum + l.thicknessMm * (1 - columns[c]![k]!), 0),
      ]),
    ),
    aged: xs.map((x) => [x, totalMm - shortenedMm(x, depth.aged)]),
    body: xs
      .filter((x) => Math.abs(x) <= body.reachMm)
      .map((x) => [x, totalMm - depth.fresh + riseMm(body, Math.abs(x))]),
  }
}
