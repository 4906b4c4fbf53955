import { phrase } from '../../../core/language/index.ts'
import type { Seat } from '../../../contract/index.ts'
import {
  at,
  boxOf,
  centroidOf,
  edgeLength,
  moved,
  onEdge,
  outwardOn,
  turnedBy,
  type Outline,
  type Point,
} from '../../../core/outline/index.ts'
import { isRow, frontSpan, settingName, topOf, type Cushions, type ShapedSeat } from '../../../core/seat/index.ts'
import { formatLength, type LengthUnit } from '../../../core/units/index.ts'
import { middleBox, placeNames, type Box } from './name-edges.ts'
import { edgePath, svgPath, type Scale } from '../../drawing/use-scale.ts'

/** From millimetres of the seat to pixels. */
export type View = Pick<Scale, 'x' | 'y' | 'k'>

export const pixelOf = (view: View, p: Point) => ({ x: view.x(p.x), y: view.y(p.y) })

/** More edges than this are not named one by one. */
const MOST_NAMED = 20

/** The cushions as they stand on the seat, each with its number and, where there is room, its size. */
export function sketchCushions(seat: Seat, cushions: Cushions, unit: LengthUnit, view: View) {
  const isAlone = !isRow(seat.division)
  const isOfRows = seat.division.kind === 'rows'
  return cushions.inOrder.flatMap(({ design, place }, i) => {
    if (!place) return []
    const { solid, id, count } = cushions.designs[design]!
    const leans = solid.edges.map((e) => e.leanRad)
    const stand = (outline: Outline) => moved(turnedBy(outline, place.angleRad), place)
    const box = boxOf(solid.outline)
    const front = frontSpan(solid)
    const size = `${formatLength(solid.width.value, unit)} x ${formatLength(solid.depth.value, unit)}`
    const isNarrow = box.maxX * view.k < 150
    const fits = Math.min(box.maxX, front.to - front.from) * view.k > size.length * 7.2 + 10 && box.maxY * view.k > 76
    return [
      {
        number: isOfRows
          ? phrase`first of ${cushions.count}`
          : isAlone
            ? alone(cushions.count, isNarrow)
            : String(i + 1),
        size: fits ? (cushions.designs.length > 1 && !isAlone ? phrase`${id}: ${size}` : size) : '',
        mirrored: isAlone && !isOfRows && count < cushions.count ? phrase`${cushions.count - count} mirrored` : '',
        foot: svgPath(stand(solid.outline), view),
        top: leans.some((l) => l !== 0) ? svgPath(stand(topOf(solid)), view) : null,
        ...pixelOf(view, stand([centroidOf(solid.outline)])[0]!),
      },
    ]
  })
}

const alone = (count: number, isNarrow: boolean): string =>
  count === 1 ? '' : isNarrow ? `× ${count}` : phrase`${count} of these`

/** Shares of an edge at which its name may stand, the first that is free: off the middle, clear of handles. */
const SPOTS = [0.3, 0.68, 0.2, 0.8] as const

/** Where the number and the sizes of each cushion stand. */
export const writtenOn = (drawn: ReturnType<typeof sketchCushions>): readonly Box[] =>
  drawn.flatMap(({ number, size, mirrored, x, y }) => [
    ...(number === '' ? [] : [middleBox(number, x, y, NUMBER_PX)]),
    ...(size === '' ? [] : [middleBox(size, x, y + 22)]),
    ...(mirrored === '' ? [] : [middleBox(mirrored, x, y + 42)]),
  ])
/** A letter of a cushion's number, larger than those of names. */
const NUMBER_PX = 11

/**
 * The edges by the tape, each with its name and what it meets, written inside the seat where it hides no other and
 * nothing that is written on the cushions.
 */
export function sketchEdges(shaped: ShapedSeat, front: string, view: View, written: readonly Box[] = []) {
  const { outline, edges } = shaped.bare
  const named = edges.map((e, i) => {
    // A hull in several arcs is named once, on its longest.
    const group = settingName(e.name)
    const alike = edges.flatMap((other, j) => (settingName(other.name) === group ? [j] : []))
    const longest = alike.reduce((best, j) => (edgeLength(outline, j) > edgeLength(outline, best) ? j : best))
    const words = [
      e.name === front ? 'front' : group,
      e.meets === 'open' || e.meets === group ? '' : e.meets,
      e.leanRad === 0 ? '' : phrase`leans ${Math.round((e.leanRad * 180) / Math.PI)}°`,
    ]
    const isLevel = Math.abs(outwardOn(outline, i, 0.5).y) > 0.7
    return {
      words: edges.length <= MOST_NAMED && longest === i ? words.filter((w) => w !== '').join(', ') : '',
      spots: SPOTS.map((share) => spotOf(outline, i, share, view)),
      roomPx: isLevel ? edgeLength(outline, i) * view.k : null,
    }
  })
  const places = placeNames(named, written)
  return edges.map((e, i) => {
    const place = places[i] ?? null
    return {
      ...e,
      d: edgePath(outline, i, view),
      ...named[i]!.spots[place ?? 0]!,
      words: place === null ? '' : named[i]!.words,
    }
  })
}

function spotOf(outline: Outline, edge: number, share: number, view: View) {
  const [spot, out] = [pixelOf(view, onEdge(outline, edge, share)), outwardOn(outline, edge, share)]
  const inside = Math.abs(out.y) > 0.5 ? 14 : 8
  const anchor = out.x > 0.5 ? ('end' as const) : out.x < -0.5 ? ('start' as const) : ('middle' as const)
  return { x: spot.x - out.x * inside, y: spot.y + out.y * inside, anchor }
}

/** Letters or numbers at the corners, where tapes and tables speak of them. */
export function sketchLetters(seat: Seat, shaped: ShapedSeat, view: View) {
  const { kind } = seat.footprint
  if ((kind !== 'taped' && kind !== 'points') || shaped.corners.length > MOST_NAMED) return []
  const box = boxOf(shaped.bare.outline)
  const middle = pixelOf(view, at((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2))
  return shaped.corners.map((c) => {
    const p = pixelOf(view, c.at)
    const away = Math.hypot(p.x - middle.x, p.y - middle.y) || 1
    return { name: c.name, x: p.x + ((p.x - middle.x) / away) * 20, y: p.y + ((p.y - middle.y) / away) * 20 + 5 }
  })
}

/** The width of the first cushion of a straight row, drawn above the seat. */
export function sketchCushionWidth(seat: Seat, cushions: Cushions, outline: Outline, view: View) {
  const first = cushions.inOrder[0]
  if (!first?.place || seat.division.kind !== 'run' || first.place.angleRad !== 0 || cushions.count === 1) return null
  const { solid } = cushions.designs[first.design]!
  const y = view.y(boxOf(outline).maxY) - 34
  return { x1: view.x(first.place.x), x2: view.x(first.place.x + solid.width.value), y1: y, y2: y, figure: solid.width }
}
