import type { LayProblem } from '../contract/index.ts'
import { seeded, type Random } from '../core/random/index.ts'

/** A lay problem of a family, and the shortest possible length where the construction tells it. */
export interface BenchProblem {
  readonly name: string
  readonly problem: LayProblem
  readonly optimum: number | null
}

export type Piece = LayProblem['pieces'][number]
export const piece = (id: string, outline: [number, number][], more: Partial<Piece> = {}): Piece => ({
  id,
  qty: 1,
  outline,
  turns: [0],
  flip: false,
  match: null,
  ...more,
})
export const box = (w: number, h: number): [number, number][] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
export const problemOf = (
  width: number,
  pieces: Piece[],
  more: Partial<LayProblem> = {},
  repeatAcross: number | null = null,
): LayProblem => ({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth: { width, length: null, selvedge: [0, 0], repeat: { across: repeatAcross, along: null }, flaws: [] },
  gap: 0,
  groups: {},
  pieces,
  ...more,
})

/** Rectangles sawn from one whole rectangle by straight cuts: the whole is the optimum. */
export function sawnRectangles(count: number, turns: number[], seed: number): BenchProblem {
  const random = seeded(seed)
  const [width, length] = [1370, 300 + count * 45]
  const rectangles = saw(width, length, count, random)
  const pieces = rectangles.map(([w, h], i) =>
    turns.length > 1 && random() < 0.5
      ? piece(`R${i + 1}`, box(h, w), { turns })
      : piece(`R${i + 1}`, box(w, h), { turns }),
  )
  return {
    name: `sawn ${count}${turns.length > 1 ? ', free quarter turns' : ''}`,
    problem: problemOf(width, shuffled(pieces, random)),
    optimum: length,
  }
}

/**
 * Rectangles sawn on a grid from patterned cloth, most of them with the phase at which they lay: the whole is the
 * optimum.
 */
export function cutPrint(count: number, pattern: 'stripe' | 'print', seed: number): BenchProblem {
  const random = seeded(seed)
  const grid = 20
  const [width, length] = [1360, 200 + Math.round((count * 50) / grid) * grid]
  const repeat = { across: 140, along: pattern === 'print' ? 180 : null }
  const pieces = sawOnGrid(width, length, count, grid, random).map(({ x, y, w, h }, i) => {
    const match =
      random() < 0.6
        ? {
            group: 'run',
            anchor: [w / 2, h / 2] as [number, number],
            across: (x + w / 2) % repeat.across,
            along: repeat.along && (y + h / 2) % repeat.along,
          }
        : null
    return piece(`C${i + 1}`, box(w, h), { match })
  })
  const problem = problemOf(width, shuffled(pieces, random), { groups: { run: { across: 0, along: 0 } } })
  return {
    name: `cut ${pattern} ${count}`,
    problem: { ...problem, cloth: { ...problem.cloth, repeat } },
    optimum: length,
  }
}

/** Convex polygons cut from one rectangle by straight lines: the whole is the optimum. */
export function cutJigsaw(count: number, seed: number): BenchProblem {
  const random = seeded(seed)
  const [width, length] = [1120, 400 + count * 50]
  let polygons: [number, number][][] = [box(width, length)]
  while (polygons.length < count) {
    polygons.sort((a, b) => areaOf(b) - areaOf(a))
    const [largest, ...others] = polygons
    const parts = halve(largest!, random)
    polygons = parts ? [...parts, ...others] : polygons
  }
  const pieces = polygons.map((p, i) => {
    const [x, y] = [Math.min(...p.map((q) => q[0])), Math.min(...p.map((q) => q[1]))]
    return piece(
      `J${i + 1}`,
      p.map(([a, b]) => [a - x, b - y]),
    )
  })
  return { name: `jigsaw ${count}`, problem: problemOf(width, shuffled(pieces, random)), optimum: length }
}

/** Cushion covers of true shapes: plates, T plates, cut corners, boxing, gussets. The optimum is not known. */
export function cushionMix(count: number, seed: number): BenchProblem {
  const random = seeded(seed)
  const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
  const pieces: Piece[] = []
  for (let i = 0; pieces.reduce((n, p) => n + p.qty, 0) < count; i++) {
    const [w, d, t] = [whole(380, 760), whole(380, 620), whole(60, 130)]
    const ear = whole(40, 90)
    const plates: [number, number][][] = [
      box(w, d),
      [
        [0, 0],
        [w, 0],
        [w, d - ear],
        [w - ear, d - ear],
        [w - ear, d],
        [ear, d],
        [ear, d - ear],
        [0, d - ear],
      ],
      [
        [0, 0],
        [w, 0],
        [w, d - ear * 2],
        [w - ear, d],
        [0, d],
      ],
      [
        [0, 0],
        [w, 0],
        [w - ear, d],
        [ear, d],
      ],
    ]
    pieces.push(
      piece(`P${i}`, plates[Math.floor(random() * plates.length)]!, { qty: 2, turns: [0, 180] }),
      piece(`B${i}`, box(w, t), { turns: [0, 180] }),
      piece(`G${i}`, box(Math.min(1100, w + d / 2), t / 2 + 34), { qty: 2, turns: [0, 90, 180, 270] }),
    )
  }
  return { name: `cushions ${count}`, problem: problemOf(1400, pieces), optimum: null }
}

/** Equal plates, as many to a row as stand on the stripe's lattice: rows times height is the optimum. */
export function stripedRows(rows: number, seed: number): BenchProblem {
  const random = seeded(seed)
  const repeat = 60 + Math.round(random() * 60)
  const perRow = 3
  const pitch = Math.ceil(400 / repeat) * repeat
  const [w, h] = [pitch - Math.round(random() * (repeat / 3)), 450]
  const width = pitch * (perRow - 1) + w + Math.round((repeat - 1) * 0.5)
  const pieces = [
    piece('top', box(w, h), {
      qty: rows * perRow,
      match: { group: 'run', anchor: [w / 2, 0], across: 0, along: null },
    }),
  ]
  return { name: `striped ${rows * perRow}`, problem: problemOf(width, pieces, {}, repeat), optimum: rows * h }
}

function saw(w: number, h: number, count: number, random: Random): (readonly [number, number])[] {
  let parts: (readonly [number, number])[] = [[w, h]]
  while (parts.length < count) {
    parts.sort((a, b) => b[0] * b[1] - a[0] * a[1])
    const [[pw, ph], ...rest] = parts as [readonly [number, number], ...(readonly [number, number])[]]
    const at = 0.3 + random() * 0.4
    parts =
      pw > ph
        ? [[Math.round(pw * at), ph], [pw - Math.round(pw * at), ph], ...rest]
        : [[pw, Math.round(ph * at)], [pw, ph - Math.round(ph * at)], ...rest]
  }
  return parts
}

interface Sawn {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

function sawOnGrid(width: number, length: number, count: number, grid: number, random: Random): readonly Sawn[] {
  let parts: readonly Sawn[] = [{ x: 0, y: 0, w: width, h: length }]
  while (parts.length < count) {
    const [largest, ...rest] = parts.toSorted((a, b) => b.w * b.h - a.w * a.h) as [Sawn, ...Sawn[]]
    const { x, y, w, h } = largest
    const share = 0.3 + random() * 0.4
    const at = Math.max(grid, Math.round((Math.max(w, h) * share) / grid) * grid)
    parts =
      w > h
        ? [{ x, y, w: at, h }, { x: x + at, y, w: w - at, h }, ...rest]
        : [{ x, y, w, h: at }, { x, y: y + at, w, h: h - at }, ...rest]
  }
  return parts
}

function halve(polygon: [number, number][], random: Random): [number, number][][] | null {
  const [cx, cy] = [0, 1].map((k) => polygon.reduce((s, p) => s + p[k]!, 0) / polygon.length) as [number, number]
  const angle = random() * Math.PI
  const [nx, ny] = [Math.cos(angle), Math.sin(angle)]
  const side = (p: readonly [number, number]) => (p[0] - cx) * nx + (p[1] - cy) * ny
  const clip = (sign: 1 | -1) =>
    polygon.flatMap((p, i): [number, number][] => {
      const q = polygon[(i + 1) % polygon.length]!
      const [a, b] = [side(p) * sign, side(q) * sign]
      const crossing: [number, number] = [p[0] + ((q[0] - p[0]) * a) / (a - b), p[1] + ((q[1] - p[1]) * a) / (a - b)]
      return [...(a >= 0 ? [p] : []), ...(a > 0 !== b > 0 ? [crossing] : [])]
    })
  const parts = [clip(1), clip(-1)]
  return parts.every((p) => p.length >= 3 && areaOf(p) > 5000) ? parts : null
}

const areaOf = (p: readonly (readonly [number, number])[]): number =>
  Math.abs(p.reduce((s, a, i) => s + a[0] * p[(i + 1) % p.length]![1] - p[(i + 1) % p.length]![0] * a[1], 0)) / 2

function shuffled<T>(items: readonly T[], random: Random): T[] {
  const out = [...items]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}
