import { phrase } from '../../../language/index.ts'
import { at, rectangle, type Outline } from '../../../outline/index.ts'
import type { Figure, Operand } from '../../../working/index.ts'
import { lapEdge, lapOf } from '../../closures/closure-plan.ts'
import { tapeFigure } from '../../closures/tape.ts'
import { rectanglePanel, seamEdge, type EdgeDraft, type PanelDraft } from '../../parts/index.ts'
import type { Patch } from '../../patch.ts'
import type { RecipeInput } from '../../recipe.ts'
import type { SeamDraft, SeamPair } from '../../seam.ts'
import { inSpace, onPlane, UP } from '../../space.ts'

/** One of the covers of a cube: what it is called, of what cloth, how high, how it ends at the foot. */
export interface SlipDraft {
  readonly id: string
  readonly name: string
  readonly cloth: 'face' | 'lining' | 'liner'
  readonly height: Operand
  readonly foot: EdgeDraft
  readonly opens: boolean
  /** The cloth of a bottom that shuts it; null: open at the foot. */
  readonly base: 'base' | null
}

export interface Slip {
  readonly panels: readonly PanelDraft[]
  readonly patches: readonly Patch[]
  readonly closing: SeamDraft
  readonly seams: readonly SeamDraft[]
  readonly ring: readonly SeamPair[]
}

type Input = RecipeInput<'cube'>
type SideName = 'back' | 'left' | 'front' | 'right'
interface Side {
  readonly side: SideName
  readonly length: Figure
}

/** A top and four sides; the sides are walked from the back's right end: back, left, front, right. */
export function slip(input: Input, draft: SlipDraft): Slip {
  const sides = sidesOf(input)
  const panels = sides.map((side) => sidePanel(input, draft, side))
  const heightMm = (panels[0]!.finished[2] as { y: number }).y
  const join = (before: SideName, after: SideName) => joined(draft, before, after, heightMm)
  const closing = join('right', 'back')
  const ring = ringOf(draft, sides)
  return {
    panels: [topPanel(input, draft), ...panels, ...(draft.base ? [basePanel(input, draft, draft.base)] : [])],
    patches: patchesOf(input, draft, heightMm),
    closing: draft.opens
      ? { ...closing, name: 'the vertical closure at the back right corner', kind: 'closure' }
      : closing,
    seams: [
      join('back', 'left'),
      join('left', 'front'),
      join('front', 'right'),
      ...(draft.opens ? [] : [closing]),
      { name: phrase`${draft.name}sides to the top`, kind: 'plate', pairs: ring },
      ...(draft.base ? [baseSeam(draft, sides)] : []),
    ],
    ring,
  }
}

const sidesOf = ({ solid }: Input): readonly Side[] => [
  { side: 'back', length: solid.width },
  { side: 'left', length: solid.depth },
  { side: 'front', length: solid.width },
  { side: 'right', length: solid.depth },
]
const sideId = ({ id }: SlipDraft, side: SideName): string => `${id}side-${side}`
const topId = ({ id }: SlipDraft): string => `${id}top-plate`
const baseId = ({ id }: SlipDraft): string => `${id}base`

function sidePanel(input: Input, draft: SlipDraft, { side, length }: Side): PanelDraft {
  const s = input.allowances.seamMm
  const { name, cloth, height, foot, opens } = draft
  const opening = (edge: 'start' | 'end'): EdgeDraft => (opens ? openingEdge(edge, input) : seamEdge(edge, s))
  return rectanglePanel(
    {
      id: sideId(draft, side),
      name: phrase`${name}${name ? side : side[0]!.toUpperCase() + side.slice(1)} side`,
      role: 'boxing',
      face: cloth === 'face' ? side : 'inside',
      cloth,
      isSeen: cloth === 'face',
      rule: cloth === 'lining' ? 'the height, less the hem' : 'the height',
    },
    length,
    height,
    [
      foot,
      side === 'right' ? opening('end') : seamEdge('end', s),
      seamEdge('top', s),
      side === 'back' ? opening('start') : seamEdge('start', s),
    ],
  )
}

/** An edge of the vertical closure: taped for a zip, else lapped where its closure laps. */
function openingEdge(name: 'start' | 'end', { closure, allowances }: Input): EdgeDraft {
  if (closure.kind === 'zip-seam') return { name, treatment: 'zip', allowances: [tapeFigure(closure.tapeMm)] }
  const lap = lapOf(closure, allowances)
  return lap
    ? { name, treatment: 'lap', allowances: lapEdge(lap, allowances, closure) }
    : seamEdge(name, allowances.seamMm)
}

const topPanel = ({ solid, allowances }: Input, draft: SlipDraft): PanelDraft =>
  rectanglePanel(
    {
      id: topId(draft),
      name: draft.name ? `${draft.name}top` : 'Top plate',
      role: 'plate',
      face: draft.cloth === 'face' ? 'top' : 'inside',
      cloth: draft.cloth,
      isSeen: draft.cloth === 'face',
      rule: 'the plate finishes at the cover size',
    },
    solid.width,
    solid.depth,
    (['front', 'right', 'back', 'left'] as const).map((side) => seamEdge(side, allowances.seamMm, side)),
  )

const basePanel = ({ solid, allowances }: Input, draft: SlipDraft, cloth: 'base'): PanelDraft =>
  rectanglePanel(
    {
      id: baseId(draft),
      name: phrase`${draft.name}non-slip base`,
      role: 'base',
      face: 'inside',
      cloth,
      isSeen: false,
      rule: 'as the top',
    },
    solid.width,
    solid.depth,
    (['front', 'left', 'back', 'right'] as const).map((side) => seamEdge(side, allowances.seamMm, side)),
  )

const joined = (draft: SlipDraft, before: SideName, after: SideName, heightMm: number): SeamDraft => ({
  name: phrase`${draft.name}${before} side to ${after} side`,
  kind: 'join',
  pairs: [
    {
      a: { panel: sideId(draft, before), edge: 'end', from: 0, to: heightMm },
      b: { panel: sideId(draft, after), edge: 'start', from: heightMm, to: 0 },
    },
  ],
})

/** The sides along a plate, each walked against the plate's own edge. */
const along = (draft: SlipDraft, plate: string, edge: string, sides: readonly Side[]): readonly SeamPair[] =>
  sides.map(({ side, length }) => ({
    a: { panel: plate, edge: side, from: 0, to: length.value },
    b: { panel: sideId(draft, side), edge, from: length.value, to: 0 },
  }))

const ringOf = (draft: SlipDraft, sides: readonly Side[]) => along(draft, topId(draft), 'top', sides)

const baseSeam = (draft: SlipDraft, sides: readonly Side[]): SeamDraft => ({
  name: phrase`${draft.name}base to the sides, when the block is in`,
  kind: 'final',
  pairs: along(draft, baseId(draft), draft.foot.name, sides),
})

function patchesOf(input: Input, draft: SlipDraft, heightMm: number): readonly Patch[] {
  const { solid } = input
  const [w, d, z] = [solid.width.value, solid.depth.value, solid.thickness.value]
  const flat = (panel: string, outline: Outline, place: Patch['place']): Patch => ({
    panel,
    bend: 'flat',
    outline,
    place,
  })
  return [
    ...(draft.base ? [flat(baseId(draft), rectangle(w, d), (p) => inSpace(w - p.x, p.y, 0))] : []),
    flat(topId(draft), rectangle(w, d), (p) => inSpace(p.x, p.y, z)),
    ...sidesOf(input).map(({ side, length }) =>
      flat(sideId(draft, side), rectangle(length.value, heightMm), standing(side, w, d, z - heightMm)),
    ),
  ]
}

/** Where a side stands, seen from outside, its foot so high. */
function standing(side: SideName, w: number, d: number, footMm: number): Patch['place'] {
  const [corner, way] = {
    back: [inSpace(w, d, footMm), inSpace(-1, 0, 0)],
    left: [inSpace(0, d, footMm), inSpace(0, -1, 0)],
    front: [inSpace(0, 0, footMm), inSpace(1, 0, 0)],
    right: [inSpace(w, 0, footMm), inSpace(0, 1, 0)],
  }[side] as [ReturnType<typeof inSpace>, ReturnType<typeof inSpace>]
  return onPlane(at(0, 0), corner, way, UP)
}
