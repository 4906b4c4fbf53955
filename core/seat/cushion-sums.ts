import { phrase } from '../language/index.ts'
import type { Seat } from '../../contract/index.ts'
import { areaOf, edgeLength } from '../outline/index.ts'
import {
  asExpression,
  entered,
  figure,
  given,
  minus,
  over,
  times,
  type Figure,
  type Operand,
} from '../working/index.ts'
import { dimensionFigure } from './dimension.ts'
import { ringSizes } from './footprints/index.ts'
import type { ShapedSeat } from './shaped-seat.ts'
import { slotOf } from './slots.ts'

interface PlainSum {
  readonly value: number
  readonly sum: ReturnType<typeof asExpression>
  readonly rule: string
}

/** The sums of a rectangle that stands square, whole or divided along its front; null for other shapes. */
export function plainSums(seat: Seat): { readonly width: PlainSum; readonly depth: PlainSum } | null {
  const { footprint, division } = seat
  if (footprint.kind !== 'rectangle' || seat.turnDeg !== 0 || division.kind === 'corner') return null
  const isAcross = seat.front === 'near' || seat.front === 'far'
  const [across, deep] = isAcross ? (['width', 'depth'] as const) : (['depth', 'width'] as const)
  const slot = (name: 'width' | 'depth') =>
    dimensionFigure(footprint[name], `seat.${name}`, slotOf(seat, name)!.label, `measure.${name}`)
  const enclosed = (...names: readonly string[]) =>
    names.filter((name) => (seat.edges[name]?.meets ?? 'open') !== 'open').length
  const clearance = entered({
    id: 'seat.clearance',
    label: 'Clearance at a wall, hinge or hull',
    quantity: 'length',
    value: seat.clearanceMm,
    rule: 'left free so that the cushion goes in and out',
    setBy: 'job',
    change: 'measure.clearance',
  })
  const clear = (from: Figure, walls: number): Operand =>
    walls === 0 || seat.clearanceMm === 0
      ? from
      : minus(from, times(given(walls, 'count', 'walls, hinges or hulls it meets'), clearance))
  const ends = isAcross ? (['left', 'right'] as const) : (['near', 'far'] as const)
  const faces = isAcross ? (['near', 'far'] as const) : (['left', 'right'] as const)
  const wide = asExpression(shared(clear(slot(across), enclosed(...ends)), seat))
  const far = asExpression(clear(slot(deep), enclosed(...faces)))
  const value = (sum: ReturnType<typeof asExpression>) =>
    figure({ id: '', label: '', quantity: 'length', sum, rule: '' }).value
  return {
    width: {
      value: value(wide),
      sum: wide,
      rule: division.kind === 'run' ? 'the bench less its gaps, shared out evenly' : 'the seat less its clearances',
    },
    depth: { value: value(far), sum: far, rule: 'the seat less its clearances' },
  }
}

/** (B − (n − 1) g) / n. */
function shared(free: Operand, { division }: Seat): Operand {
  if (division.kind !== 'run' || division.count === 1) return free
  return over(
    division.gapMm === 0
      ? free
      : minus(free, times(given(division.count - 1, 'count', 'meetings between cushions'), gapFigure(division.gapMm))),
    given(division.count, 'count', 'cushions'),
  )
}

const gapFigure = (gapMm: number): Figure =>
  entered({
    id: 'seat.gap',
    label: gapMm < 0 ? 'Gap (squeezed)' : 'Gap between cushions',
    quantity: 'length',
    value: gapMm,
    rule: 'negative: neighbours are squeezed together',
    setBy: 'job',
    change: 'measure.gap',
  })

/** Worked out from the tape: the edges and the area, and the angle and arcs of a ring. */
export function derivedFigures(seat: Seat, shaped: ShapedSeat): readonly Figure[] {
  const { outline, edges } = shaped.bare
  const area = entered({
    id: 'seat.area',
    label: 'Area of the seat',
    quantity: 'area',
    value: areaOf(outline),
    rule: 'inside the outline as measured',
  })
  const lengths = edges.map((e, i) =>
    entered({
      id: `seat.edge.${e.name}`,
      label: phrase`Edge ${e.name}`,
      quantity: 'length',
      line: 'net',
      value: edgeLength(outline, i),
      rule: 'along the edge, from the outline',
    }),
  )
  return [...ringFigures(seat), ...lengths, area]
}

/** Angle and arcs of a ring, and the front arc of one cushion when it is cut towards the centre. */
function ringFigures({ footprint, division }: Seat): readonly Figure[] {
  if (footprint.kind !== 'ring') return []
  const sizes = ringSizes(footprint)
  if (!sizes.ok) return []
  const { innerRadius, outerRadius, angleRad } = sizes.value
  const radius = (id: string, label: string, value: number) =>
    entered({ id: `seat.${id}`, label, quantity: 'length', value, rule: 'from the tape' })
  const angle = entered({
    id: 'seat.angle',
    label: 'Angle of the bench',
    quantity: 'angle',
    value: angleRad,
    rule: 'length of the arc over its radius',
  })
  const inner = figure({
    id: 'seat.innerArc',
    label: 'Inner arc',
    quantity: 'length',
    line: 'net',
    sum: times(radius('innerRadius', 'Inner radius', innerRadius), angle),
    rule: 'radius by angle',
  })
  const outer = figure({
    id: 'seat.outerArc',
    label: 'Outer arc',
    quantity: 'length',
    line: 'net',
    sum: times(radius('outerRadius', 'Outer radius', outerRadius), angle),
    rule: 'radius by angle',
  })
  if (division.kind !== 'run' || division.cuts !== 'radial') return [angle, inner, outer]
  const each = figure({
    id: 'seat.eachArc',
    label: 'Inner arc of each cushion',
    quantity: 'length',
    line: 'net',
    sum: over(
      division.gapMm === 0
        ? inner
        : minus(
            inner,
            times(given(division.count - 1, 'count', 'meetings between cushions'), gapFigure(division.gapMm)),
          ),
      given(division.count, 'count', 'cushions'),
    ),
    rule: 'the arc less its gaps, shared out evenly; a wall at an end takes its clearance besides',
  })
  return [angle, inner, outer, each]
}
