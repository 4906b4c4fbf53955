import { alongEdge, at, edgeLength, isSimple, keepLeftOf, wholeOf, type Point } from '../outline/index.ts'
import { entered, type Figure } from '../working/index.ts'
import { linesOf, type Axis } from './joins/cut-panel.ts'
import type { Mark, Panel } from './panel.ts'

/** The edge of a half panel that lies on the fold of the cloth. */
export const FOLD_EDGE = 'fold'

/**
 * Half of a panel, cut on the fold of the cloth along a line square to one of its axes: opened out it is the whole one.
 * `keeps` is the half that is drawn, before the line or after it. Null where the line does not part the panel in two.
 */
export function halfPanel(panel: Panel, axis: Axis, atMm: number, keeps: 'before' | 'after'): Panel | null {
  const { on, up, down } = linesOf(axis)
  const half = keepLeftOf(wholeOf(panel.finished), on(atMm), keeps === 'before' ? up : down)
  const cuts = half.sources.filter((s) => s < 0).length
  if (cuts !== 1 || new Set(half.sources).size !== half.sources.length || !isSimple(half.outline)) return null
  const isKept = (v: number) => (keeps === 'before' ? v <= atMm + 1e-6 : v >= atMm - 1e-6)
  return {
    ...panel,
    finished: half.outline,
    edges: half.sources.map((s) =>
      s < 0 ? { name: FOLD_EDGE, treatment: 'seam', allowance: ON_FOLD } : panel.edges[s]!,
    ),
    notches: panel.notches.flatMap((n) => {
      const source = panel.edges.findIndex((e) => e.name === n.edge)
      const k = half.sources.indexOf(source)
      if (k < 0) return []
      const atEdge = n.atMm - alongEdge(panel.finished, source, half.outline[k]!)
      return atEdge < -1e-6 || atEdge > edgeLength(half.outline, k) + 1e-6 ? [] : [{ ...n, atMm: atEdge }]
    }),
    marks: panel.marks
      .filter((m) => m.path.every((p) => isKept(p[axis])))
      .concat(crossing(panel.marks, axis, atMm, isKept)),
  }
}

const ON_FOLD: Figure = entered({
  id: 'cover.onFold',
  label: 'On the fold',
  quantity: 'length',
  value: 0,
  rule: 'the cloth goes on round the fold',
})

/** A line that crosses the fold is chalked up to it. */
const crossing = (marks: readonly Mark[], axis: Axis, atMm: number, isKept: (v: number) => boolean): readonly Mark[] =>
  marks
    .filter((m) => m.path.length === 2 && m.path.some((p) => isKept(p[axis])) && !m.path.every((p) => isKept(p[axis])))
    .map((m) => {
      const [a, b] = m.path as [Point, Point]
      const share = (atMm - a[axis]) / (b[axis] - a[axis])
      const onFold = at(a.x + share * (b.x - a.x), a.y + share * (b.y - a.y))
      return { ...m, path: isKept(a[axis]) ? [a, onFold] : [onFold, b] }
    })
