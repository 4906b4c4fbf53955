import { phrase } from '../../language/index.ts'
import { at, boxOf, edgeLength, isSimple, keepLeftOf, wholeOf, type CutOff } from '../../outline/index.ts'
import type { Solid } from '../../seat/index.ts'
import { entered, figure, given, minus, over, plus, times, type Expression, type Figure } from '../../working/index.ts'
import { halfLap } from '../closures/closure-plan.ts'
import { spansOf } from '../joins/cut-panel.ts'
import { onPieces } from '../joins/on-pieces.ts'
import type { Patch } from '../patch.ts'
import type { SeamPair } from '../seam.ts'
import { inSpace } from '../space.ts'
import { rectanglePanel, shapedPanel, type EdgeDraft, type PanelDraft } from './panel-draft.ts'
import { isLevelBox } from './plates.ts'

export interface SplitDraft {
  readonly solid: Solid
  /** The whole bottom plate. */
  readonly whole: PanelDraft
  /** The front part, of the depth. */
  readonly share: number
  readonly lapMm: number
  readonly hemMm: number
}

/** A bottom plate in two parts that lap over each other. */
export interface SplitPlate {
  readonly panels: readonly PanelDraft[]
  readonly patches: readonly Patch[]
  readonly slit: SeamPair
  /** Where the free edges lie when it is closed. */
  readonly figures: readonly Figure[]
  /** Pairs of the whole bottom plate, on its two parts. */
  readonly ring: (pairs: readonly SeamPair[]) => readonly SeamPair[]
}

/**
 * The bottom plate cut across into two parts that lap by o, each hemmed by h. A part finishes at its
 * share of the depth; half the lap and the hem lie beyond the line where the two meet: cut
 * share·d + o/2 + h + s and (1 − share)·d + o/2 + h + s. Null where the line does not part the plate in two.
 */
export function splitPlate(draft: SplitDraft): SplitPlate | null {
  const { solid, whole } = draft
  const { minY, maxY } = boxOf(whole.finished)
  const y = minY + draft.share * (maxY - minY)
  const parts = {
    front: keepLeftOf(wholeOf(whole.finished), at(0, y), at(-1, 0)),
    back: keepLeftOf(wholeOf(whole.finished), at(0, y), at(1, 0)),
  }
  // A line that crosses one edge twice would leave a part with two edges of one name.
  const isPart = ({ outline, sources }: CutOff) =>
    sources.filter((s) => s < 0).length === 1 && new Set(sources).size === sources.length && isSimple(outline)
  if (!isPart(parts.front) || !isPart(parts.back)) return null
  const [front, back] = [partPanel(draft, 'front', parts.front), partPanel(draft, 'back', parts.back)]
  const right = boxOf(solid.outline)
  const place = (p: { x: number; y: number }) => inSpace(right.maxX - p.x, p.y + right.minY, 0)
  const isBox = isLevelBox(solid)
  const slitLength = edgeLength(parts.front.outline, parts.front.sources.indexOf(-1))
  return {
    panels: [front, back],
    patches: [
      { panel: front.id, bend: 'flat', outline: front.finished, place },
      {
        panel: back.id,
        bend: 'flat',
        outline: back.finished,
        place: isBox ? (p) => inSpace(right.maxX - p.x, p.y + y, 0) : place,
      },
    ],
    figures: freeEdges(draft, minY, maxY),
    slit: {
      a: { panel: front.id, edge: 'slit', from: 0, to: slitLength },
      b: { panel: back.id, edge: 'slit', from: slitLength, to: 0 },
    },
    ring: (pairs) =>
      onPieces(
        pairs,
        new Map([
          [
            whole.id,
            [front, back].map(({ id }, i) => ({ id, spans: spansOf(whole, i === 0 ? parts.front : parts.back) })),
          ],
        ]),
      ),
  }
}

/** Each part reaches half the lap past the line where they meet; how far its edge then lies from the cushion's own. */
function freeEdges({ share, lapMm, hemMm }: SplitDraft, minY: number, maxY: number): readonly Figure[] {
  const depth = given(maxY - minY, 'length', 'depth of the bottom')
  const half = over(given(lapMm, 'length', 'lap'), given(2, 'count', 'parts'))
  const edge = (id: string, label: string, sum: Expression) =>
    figure({
      id: `cover.${id}`,
      label,
      quantity: 'length',
      line: 'net',
      sum,
      rule: 'its share of the depth, and half the lap',
    })
  return [
    edge(
      'frontFlap',
      'Front part ends, from the front',
      plus(times(depth, given(share, 'share', 'of the depth')), half),
    ),
    edge(
      'backFlap',
      'Back part ends, from the back',
      plus(times(depth, given(1 - share, 'share', 'of the depth')), half),
    ),
    entered({
      id: 'cover.flapFold',
      label: 'Folded in at each free edge',
      quantity: 'length',
      value: hemMm,
      rule: 'the hem, marked before it is turned',
      setBy: 'job',
      change: 'make-up.construction',
    }),
  ]
}

/** A part of the bottom plate; of a rectangle its size is said as a sum. */
function partPanel(
  { solid, whole, share: front, lapMm, hemMm }: SplitDraft,
  which: 'front' | 'back',
  part: CutOff,
): PanelDraft {
  const lap = entered({
    id: 'cover.slitLap',
    label: 'Lap',
    quantity: 'length',
    value: lapMm,
    rule: 'the parts lap by so much',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const hem = entered({
    id: 'cover.slitHem',
    label: 'Hem of the slit',
    quantity: 'length',
    value: hemMm,
    rule: 'turned in along the slit',
    setBy: 'job',
    change: 'make-up.construction',
  })
  const edges = part.sources.map((source): EdgeDraft =>
    source < 0 ? { name: 'slit', treatment: 'lap', allowances: [halfLap(lap), hem] } : whole.edges[source]!,
  )
  const head = {
    id: `bottom-${which}`,
    name: phrase`Bottom plate, ${which} part`,
    role: 'plate',
    face: whole.face,
    isPart: true,
    cloth: whole.cloth,
    isSeen: false,
    rule: 'its share of the plate, up to the line where the parts meet',
  } as const
  if (!isLevelBox(solid)) return shapedPanel(head, part.outline, edges)
  const named = (name: string) => edges.find((e) => e.name === name)!
  const share = given(front, 'share', 'of the depth in front')
  const depth: Figure | ReturnType<typeof times> =
    which === 'front' ? times(solid.depth, share) : minus(solid.depth, times(solid.depth, share))
  // The bottom plate lies mirrored: what is right on it is drawn at the left.
  const order =
    which === 'front'
      ? [named('front'), named('left'), named('slit'), named('right')]
      : [named('slit'), named('left'), named('back'), named('right')]
  return rectanglePanel(head, solid.width, depth, order)
}
