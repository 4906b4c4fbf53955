import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IDxf,
  type IEllipseEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ISplineEntity,
} from 'dxf-parser'
import { phrase } from '../language/index.ts'
import { at, vertex, type Point, type Vertex } from '../outline/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { dxfDanger } from './dxf-guard.ts'
import type { DrawnLine, OutlineFault, ReadDrawing } from './outline-file.ts'

/** $INSUNITS of a drawing's header, in mm; 0 says nothing. */
const UNITS: Readonly<Record<number, { readonly mm: number; readonly name: string }>> = {
  1: { mm: 25.4, name: 'inches' },
  2: { mm: 304.8, name: 'feet' },
  4: { mm: 1, name: 'millimetres' },
  5: { mm: 10, name: 'centimetres' },
  6: { mm: 1000, name: 'metres' },
}

/** Lines, arcs, circles, polylines, splines and ellipses of a DXF drawing. */
export function readDxf(text: string): Result<ReadDrawing, OutlineFault> {
  const danger = dxfDanger(text)
  if (danger) return err({ code: 'not-readable', why: danger })
  let drawing: IDxf | null
  try {
    drawing = new DxfParser().parseSync(text)
  } catch (cause) {
    return err({ code: 'not-readable', why: cause instanceof Error ? cause.message : String(cause) })
  }
  if (!drawing || !Array.isArray(drawing.entities)) return err({ code: 'not-readable', why: 'it is empty' })
  const unit = UNITS[Number(drawing.header?.['$INSUNITS'] ?? 0)]
  const scale = unit?.mm ?? 1
  const report = [unit ? phrase`drawn in ${unit.name}` : 'the drawing names no unit: taken as millimetres']
  const lines: DrawnLine[] = []
  const skipped = new Map<string, number>()
  let bent = 0
  for (const entity of drawing.entities) {
    // The parser hands out what it has of an entity that is cut off.
    const line = wholeLine(entity)
    if (!line) skipped.set(entity.type, (skipped.get(entity.type) ?? 0) + 1)
    else lines.push({ ...line, vertices: line.vertices.map((v) => vertex(at(v.x * scale, v.y * scale), v.bulge)) })
    if (entity.type === 'SPLINE' || entity.type === 'ELLIPSE') bent++
  }
  if (bent > 0)
    report.push(
      phrase`${bent} spline${bent === 1 ? '' : 's'} or ellipse${bent === 1 ? '' : 's'} became short straight edges`,
    )
  for (const [type, count] of skipped) report.push(phrase`${count} of ${type} not read`)
  return ok({ lines, report })
}

function wholeLine(entity: IEntity): DrawnLine | null {
  try {
    const line = lineOf(entity)
    return line?.vertices.every((v) => Number.isFinite(v.x + v.y)) ? line : null
  } catch {
    return null
  }
}

function lineOf(entity: IEntity): DrawnLine | null {
  switch (entity.type) {
    case 'LINE': {
      const { vertices } = entity as ILineEntity
      return { vertices: vertices.slice(0, 2).map((p) => vertex(p)), isClosed: false }
    }
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity
      return { vertices: vertices.map((v) => vertex(v, 'bulge' in v ? (v.bulge ?? 0) : 0)), isClosed: shape }
    }
    case 'ARC': {
      const { center, radius, startAngle, endAngle } = entity as IArcEntity
      const sweep = (((endAngle - startAngle) % TAU) + TAU) % TAU || TAU
      const on = (angle: number): Point => at(center.x + radius * Math.cos(angle), center.y + radius * Math.sin(angle))
      return {
        vertices: [vertex(on(startAngle), Math.tan(sweep / 4)), vertex(on(startAngle + sweep))],
        isClosed: false,
      }
    }
    case 'CIRCLE': {
      const { center, radius } = entity as ICircleEntity
      return {
        vertices: [vertex(at(center.x - radius, center.y), 1), vertex(at(center.x + radius, center.y), 1)],
        isClosed: true,
      }
    }
    case 'ELLIPSE':
      return ellipseLine(entity as IEllipseEntity)
    case 'SPLINE':
      return splineLine(entity as ISplineEntity)
    default:
      return null
  }
}

const TAU = 2 * Math.PI
/** Chords to a span of a spline, or to a whole ellipse. */
const SPAN_CHORDS = 24
const ROUND_CHORDS = 180

function ellipseLine({ center, majorAxisEndPoint: major, axisRatio, startAngle, endAngle }: IEllipseEntity): DrawnLine {
  const sweep = endAngle > startAngle ? endAngle - startAngle : endAngle - startAngle + TAU
  const isClosed = Math.abs(sweep - TAU) < 1e-6
  const on = (t: number): Vertex =>
    vertex(
      at(
        center.x + major.x * Math.cos(t) - major.y * axisRatio * Math.sin(t),
        center.y + major.y * Math.cos(t) + major.x * axisRatio * Math.sin(t),
      ),
    )
  return {
    vertices: Array.from({ length: isClosed ? ROUND_CHORDS : ROUND_CHORDS + 1 }, (_, i) =>
      on(startAngle + (sweep * i) / ROUND_CHORDS),
    ),
    isClosed,
  }
}

/** A B-spline by de Boor's rule, at even steps of each knot span. */
function splineLine({
  controlPoints,
  knotValues,
  degreeOfSplineCurve: degree,
  closed,
  fitPoints,
}: ISplineEntity): DrawnLine | null {
  if (
    !controlPoints ||
    controlPoints.length <= degree ||
    !knotValues ||
    knotValues.length < controlPoints.length + degree + 1
  ) {
    return fitPoints && fitPoints.length > 1
      ? { vertices: fitPoints.map((p) => vertex(p)), isClosed: closed === true }
      : null
  }
  const vertices: Vertex[] = []
  for (let span = degree; span < controlPoints.length; span++) {
    const [from, to] = [knotValues[span]!, knotValues[span + 1]!]
    if (to - from < 1e-12) continue
    for (let i = 0; i < SPAN_CHORDS; i++)
      vertices.push(vertex(deBoor(controlPoints, knotValues, degree, span, from + ((to - from) * i) / SPAN_CHORDS)))
  }
  const last = controlPoints.length
  vertices.push(vertex(deBoor(controlPoints, knotValues, degree, last - 1, knotValues[last]!)))
  const first = vertices[0]!
  const end = vertices.at(-1)!
  const meets = Math.hypot(first.x - end.x, first.y - end.y) < 1e-6
  return meets ? { vertices: vertices.slice(0, -1), isClosed: true } : { vertices, isClosed: false }
}

function deBoor(points: readonly Point[], knots: readonly number[], degree: number, span: number, t: number): Point {
  const d = Array.from({ length: degree + 1 }, (_, j) => points[span - degree + j]!)
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const low = knots[span - degree + j]!
      const share = (t - low) / (knots[span + 1 + j - r]! - low || 1)
      d[j] = at(d[j - 1]!.x * (1 - share) + d[j]!.x * share, d[j - 1]!.y * (1 - share) + d[j]!.y * share)
    }
  }
  return d[degree]!
}
