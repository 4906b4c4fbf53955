import { phrase } from '../../language/index.ts'
import type { Grip, Handles, Side, Ties, Trims, Vents } from '../../../contract/index.ts'
import type { CushionSize, Solid } from '../../seat/index.ts'
import { figure, given, minus, plus, times } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Fitting } from '../cover.ts'
import type { Mark } from '../panel.ts'
import type { PanelDraft } from '../parts/index.ts'
import { shares, singlePlaces, type TrimPlace } from './places.ts'
import { stripPanel } from './strip-panel.ts'

export interface TrimPlan {
  readonly panels: readonly PanelDraft[]
  readonly fittings: readonly Fitting[]
  /** What is marked, and where on the cushion that is. */
  readonly marks: readonly TrimMark[]
}

export interface TrimMark {
  readonly kind: Mark['kind']
  readonly label: string
  /** A vent stands half way down the boxing of its side. */
  readonly place: TrimPlace
}

/** Ties, handles, vents and grip: strips to cut, things to buy, places to mark. */
export function planTrims(trims: Trims, solid: Solid, allowances: Allowances): TrimPlan {
  const parts = [
    trims.ties && tiesOf(trims.ties, solid, allowances),
    trims.handles && handlesOf(trims.handles, allowances),
    trims.vents && ventsOf(trims.vents),
    gripOf(trims.grip, solid),
  ]
  const found = parts.filter((p): p is TrimPlan => p !== null)
  return {
    panels: found.flatMap((p) => p.panels),
    fittings: found.flatMap((p) => p.fittings),
    marks: found.flatMap((p) => p.marks),
  }
}

const alongSides = (side: Side, count: number, kind: Mark['kind'], label: string): TrimPlan['marks'] =>
  shares(count).map((share) => ({ kind, label, place: { on: 'edge', row: 'foot', side, share } }))

/** Folded to the middle and edge-stitched: four times the finished width; turned out: twice it and a seam. */
function tiesOf(ties: Ties, solid: Solid, allowances: Allowances): TrimPlan {
  const finished = given(ties.finishedMm, 'length', 'finished width')
  const width =
    ties.way === 'folded' ? times(given(4, 'plain', 'layers'), finished) : times(2, plus(finished, allowances.seamMm))
  const tails = given(ties.caught === 'at-the-middle' ? 2 : 1, 'count', 'tails')
  const length = plus(
    times(tails, given(ties.lengthMm, 'length', 'one tail')),
    times(given(2, 'count', 'ends'), allowances.seamMm),
  )
  const places = ties.places.flatMap((p) => singlePlaces(p, solid))
  const count = places.length * (ties.caught === 'at-the-middle' ? 1 : 2)
  return {
    panels: [
      stripPanel(
        'tie',
        'Tie',
        count,
        length,
        width,
        ties.way === 'folded'
          ? 'four times the finished width; caught in the seam'
          : 'twice the finished width and a seam, turned out',
      ),
    ],
    fittings: [],
    marks: places.map((place) => ({ kind: 'tie', label: 'tie', place })),
  }
}

function handlesOf(handles: Handles, allowances: Allowances): TrimPlan {
  const length = plus(given(handles.lengthMm, 'length', 'grip'), times(2, allowances.seamMm))
  const width = times(given(4, 'plain', 'layers'), given(handles.finishedMm, 'length', 'finished width'))
  const fitting =
    handles.fitting === 'none'
      ? []
      : [
          {
            what: handles.fitting === 'd-ring' ? 'D-rings' : 'Snap hooks',
            use: 'rings' as const,
            amount: figure({
              id: 'trim.rings',
              label: 'Rings',
              quantity: 'count' as const,
              sum: given(handles.count, 'count', 'handles'),
              rule: 'one on each',
            }),
            note: '',
          },
        ]
  return {
    panels: [
      stripPanel(
        'handle',
        handles.fitting === 'none' ? 'Handle' : 'Strap',
        handles.count,
        length,
        width,
        'four times the finished width, folded to the middle',
      ),
    ],
    fittings: fitting,
    marks: alongSides(handles.side, handles.count, 'tie', 'handle'),
  }
}

const ventsOf = ({ side, count }: Vents): TrimPlan => ({
  panels: [],
  fittings: [
    {
      what: 'Vent grommets',
      use: 'vents',
      amount: figure({
        id: 'trim.vents',
        label: 'Vent grommets',
        quantity: 'count',
        sum: given(count, 'count', 'vents'),
        rule: 'in the boxing',
      }),
      note: 'brass or plastic, no steel',
    },
  ],
  marks: alongSides(side, count, 'vent', 'vent'),
})

/** Whether what keeps a cushion from slipping leaves room for itself on its base. */
export function gripFits(grip: Grip, { width, depth }: CushionSize): boolean {
  switch (grip.kind) {
    case 'none':
      return true
    case 'hook-and-loop':
      return depth.value > 2 * GRIP_CLEAR_MM
    case 'non-slip':
      return 2 * grip.insetMm < Math.min(width.value, depth.value)
    default:
      return grip satisfies never
  }
}

/** Hook and loop ends so far from the front and the back edge. */
const GRIP_CLEAR_MM = 50

function gripOf(grip: Grip, solid: Solid): TrimPlan | null {
  if (!gripFits(grip, solid)) return null
  switch (grip.kind) {
    case 'none':
      return null
    case 'hook-and-loop': {
      const length = figure({
        id: 'trim.grip',
        label: 'Hook and loop on the base',
        quantity: 'length',
        sum: times(
          given(grip.strips, 'count', 'strips'),
          minus(solid.depth, given(2 * GRIP_CLEAR_MM, 'length', 'short of front and back')),
        ),
        rule: 'front to back, short of both edges',
      })
      return {
        panels: [],
        fittings: [
          {
            what: phrase`Hook and loop on the base, ${grip.tapeMm} mm`,
            use: 'tape',
            amount: length,
            note: 'loop side on the cover',
          },
        ],
        marks: [],
      }
    }
    case 'non-slip': {
      const area = figure({
        id: 'trim.nonSlip',
        label: 'Non-slip base',
        quantity: 'area',
        sum: times(
          minus(solid.width, given(2 * grip.insetMm, 'length', 'inset')),
          minus(solid.depth, given(2 * grip.insetMm, 'length', 'inset')),
        ),
        rule: 'inside the base',
      })
      return { panels: [], fittings: [{ what: 'Non-slip cloth', use: 'non-slip', amount: area, note: '' }], marks: [] }
    }
    default:
      return grip satisfies never
  }
}
