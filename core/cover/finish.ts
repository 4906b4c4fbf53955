import { phrase } from '../language/index.ts'
import { boxOf } from '../outline/index.ts'
import {
  asExpression,
  entered,
  evaluate,
  figure,
  given,
  over,
  plus,
  times,
  type Expression,
  type Figure,
  type Operand,
} from '../working/index.ts'
import type { Growth, Panel, PanelEdge } from './panel.ts'
import { cutOutline } from './piece.ts'
import type { EdgeDraft, PanelDraft, SizeSums } from './parts/index.ts'

/**
 * Works out what a drafted panel is cut at. `own` are allowances that the job sets on single edges, by `panel/edge`;
 * `reserve` is left on one end of each strip, to be trimmed.
 */
export function finishPanel(
  draft: PanelDraft,
  own: Readonly<Record<string, number>>,
  { lies, growth }: Pick<Panel, 'lies' | 'growth'>,
  reserve: Figure | null,
): Panel {
  const isStrip = draft.role === 'boxing' || draft.role === 'gusset'
  const edges = draft.edges.map((e) =>
    finishEdge(
      draft,
      reserve && isStrip && e.name === 'end' ? { ...e, allowances: [...e.allowances, reserve] } : e,
      own,
    ),
  )
  const { id, name, role, face, isPart = false, piece = null, behind = null, cloth, isSeen, finished } = draft
  const panel = {
    id,
    name,
    role,
    face,
    isPart,
    piece,
    behind,
    cloth,
    isSeen,
    finished,
    edges,
    lies,
    growth,
    times: draft.times ?? 1,
    marks: draft.marks ?? [],
    notches: [],
  }
  const overAll = sizesOverAll(draft, panel)
  const bySum = draft.sums && sizesBySum(draft, draft.sums, edges, growth)
  // Where a corner stands out further than the edge beside it, the sum along the edges is not what is cut.
  return { ...panel, figures: bySum && isCutAs(bySum, overAll) ? bySum : overAll }
}

const SAME_MM = 0.05
const isCutAs = (a: Panel['figures'], b: Panel['figures']): boolean =>
  Math.abs(a.cutWidth.value - b.cutWidth.value) < SAME_MM && Math.abs(a.cutHeight.value - b.cutHeight.value) < SAME_MM

const isSewnAsItsPanel = ({ treatment }: EdgeDraft): boolean => treatment !== 'hem' && treatment !== 'lap'

/** What the job sets on an edge of a whole panel holds on its pieces, and on what lies behind it but at a hem. */
function finishEdge(
  { id: panel, piece, behind }: PanelDraft,
  e: EdgeDraft,
  own: Readonly<Record<string, number>>,
): PanelEdge {
  const kept = { ...(e.side ? { side: e.side } : {}), ...(e.ready && !behind ? { ready: e.ready } : {}) }
  const set = own[`${panel}/${e.name}`] ?? own[`${piece?.of ?? (isSewnAsItsPanel(e) ? behind : undefined)}/${e.name}`]
  const [only, ...more] = e.allowances
  const summed =
    only && more.length === 0
      ? only
      : figure({
          id: `${panel}.${e.name}.allowance`,
          label: phrase`Allowance at the ${e.name}`,
          quantity: 'length',
          sum: plus(...e.allowances),
          rule: 'added one after the other',
        })
  const allowance =
    set === undefined
      ? summed
      : entered({
          id: `${panel}.${e.name}.own`,
          label: phrase`Allowance at the ${e.name}`,
          quantity: 'length',
          value: set,
          rule: 'set on this edge, in place of what the make-up gives it',
          setBy: 'job',
        })
  return { name: e.name, treatment: e.treatment, allowance, ...kept }
}

function sizesBySum(draft: PanelDraft, sums: SizeSums, edges: readonly PanelEdge[], growth: Growth): Panel['figures'] {
  const edge = (name: string) => edges.find((e) => e.name === name)!
  const names = nameOf(draft)
  const net = (way: Way, sum: Operand): Figure => sized(names(way, 'net'), 'net', asExpression(sum), draft.rule)
  const cut = (way: Way, finished: Figure, first: PanelEdge, last: PanelEdge): Figure => {
    const axis = way === 'Width' ? 'x' : 'y'
    const extra = growth.fullness[axis]?.mm
    const full: readonly Operand[] = extra ? [finished, extra] : [finished]
    const steady =
      growth.finished[axis] === 1
        ? full
        : [
            times(
              plus(...full),
              given(growth.finished[axis], 'share', 'of it, for cloth that gives and by what was learnt'),
            ),
          ]
    const edged = plus(...steady, first.allowance, last.allowance)
    const sum =
      growth.whole[axis] === 1 ? edged : over(edged, given(1 / growth.whole[axis], 'share', 'left after washing'))
    return sized(names(way, 'cut'), 'cut', sum, 'finished, and the allowance at each end')
  }
  const [finishedWidth, finishedHeight] = [net('Width', sums.width), net('Height', sums.height)]
  return {
    finishedWidth,
    finishedHeight,
    cutWidth: cut('Width', finishedWidth, edge(sums.left), edge(sums.right)),
    cutHeight: cut('Height', finishedHeight, edge(sums.bottom), edge(sums.top)),
  }
}

function sizesOverAll(draft: PanelDraft, panel: Omit<Panel, 'figures'>): Panel['figures'] {
  const [net, cut] = [boxOf(draft.finished), boxOf(cutOutline(panel))]
  const names = nameOf(draft)
  const size = (way: Way, line: 'net' | 'cut', value: number, rule: string) =>
    sized(names(way, line), line, given(value, 'length', names(way, line).label), rule)
  return {
    finishedWidth: size('Width', 'net', net.maxX - net.minX, phrase`${draft.rule}; over all`),
    finishedHeight: size('Height', 'net', net.maxY - net.minY, phrase`${draft.rule}; over all`),
    cutWidth: size('Width', 'cut', cut.maxX - cut.minX, 'over all, each edge moved out by its allowance'),
    cutHeight: size('Height', 'cut', cut.maxY - cut.minY, 'over all, each edge moved out by its allowance'),
  }
}

type Way = 'Width' | 'Height'

const nameOf =
  ({ id, name }: PanelDraft) =>
  (way: Way, line: 'net' | 'cut') => ({
    id: `${id}.${line}${way}`,
    label: phrase`${name}, ${line} ${way === 'Width' ? 'width' : 'height'}`,
  })

const sized = (
  { id, label }: { readonly id: string; readonly label: string },
  line: 'net' | 'cut',
  sum: Expression,
  rule: string,
): Figure => ({
  id,
  label,
  quantity: 'length',
  line,
  sum,
  rule,
  change: 'make-up.seamMm',
  setBy: 'rule',
  value: evaluate(sum),
})
