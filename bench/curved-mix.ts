import { seeded, type Random } from '../core/random/index.ts'
import { box, piece, problemOf, type BenchProblem, type Piece } from './problems.ts'

type Corner = [number, number]

/**
 * Cushion covers with curves: rounded plates, rounds, halves of rings, T plates, with their boxing and strips. Boxes
 * round them have a third more area than they, so that the lay lives by what nests. The optimum is not known.
 */
export function curvedMix(count: number, seed: number): BenchProblem {
  const random = seeded(seed)
  const pieces: Piece[] = []
  for (let left = count, i = 0; left > 0; i++)
    for (const made of coverOf(i, random)) {
      const qty = Math.min(made.qty, left)
      left -= qty
      if (qty > 0) pieces.push({ ...made, qty })
    }
  return { name: `curved ${count}`, problem: problemOf(1370, pieces), optimum: null }
}

function coverOf(i: number, random: Random): readonly Piece[] {
  const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
  const [w, d, t] = [whole(380, 700), whole(380, 600), whole(60, 130)]
  const turns = [0, 180]
  const shapes: readonly (() => Corner[])[] = [
    () => rounded(w, d, whole(60, 180)),
    () => rounded(w, w, w / 2),
    () => halfRing(whole(350, 600), whole(90, 150)),
    () => tPlate(w, d, whole(50, 120), whole(80, 200)),
  ]
  return [
    piece(`P${i}`, shapes[Math.floor(random() * shapes.length)]!(), { qty: 2, turns }),
    piece(`B${i}`, box(w, t), { turns }),
    piece(`Z${i}`, box(Math.min(1300, w + d), t), { turns: [0, 90, 180, 270] }),
  ]
}

/** Arcs in steps of fifteen degrees. */
const STEP_RAD = Math.PI / 12

function arc(x: number, y: number, radius: number, from: number, to: number): Corner[] {
  const steps = Math.round(Math.abs(to - from) / STEP_RAD)
  return Array.from({ length: steps + 1 }, (_, k): Corner => {
    const angle = from + ((to - from) * k) / steps
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}

const QUARTER = Math.PI / 2
const rounded = (w: number, d: number, r: number): Corner[] =>
  apart([
    ...arc(w - r, r, r, -QUARTER, 0),
    ...arc(w - r, d - r, r, 0, QUARTER),
    ...arc(r, d - r, r, QUARTER, 2 * QUARTER),
    ...arc(r, r, r, 2 * QUARTER, 3 * QUARTER),
  ])
/** Where one arc goes on in the next their ends are one corner. */
const apart = (corners: Corner[]): Corner[] =>
  corners.filter(([x, y], i) => {
    const [a, b] = corners.at(i - 1)!
    return Math.hypot(x - a, y - b) > 0.01
  })
/** So wide between its arcs. */
const halfRing = (outer: number, wide: number): Corner[] => [
  ...arc(outer, 0, outer, 0, Math.PI),
  ...arc(outer, 0, outer - wide, Math.PI, 0),
]
/** With both front corners taken out, so wide and so deep. */
export const tPlate = (w: number, d: number, ear: number, up: number): Corner[] => [
  [ear, 0],
  [w - ear, 0],
  [w - ear, up],
  [w, up],
  [w, d],
  [0, d],
  [0, up],
  [ear, up],
]
