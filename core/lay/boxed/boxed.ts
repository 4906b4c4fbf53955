import type { Instance, Item } from '../instance.ts'
import type { Arrangement, Spot } from '../placer.ts'
import { ShapeTable, type Posture } from '../shape.ts'
import { areaOf, type Bundle } from './bundle.ts'
import { boxfulsOf } from './pairing.ts'

/** True shapes as the boxes round them, some two in a box, on an endless roll without flaws. */
export interface Boxed {
  readonly instance: Instance
  /** Where the pieces themselves lie in a lay of the boxes. */
  readonly opened: (a: Arrangement) => Arrangement
}

/** Yields the work done. */
export function* boxedOf(instance: Instance): Generator<number, Boxed> {
  const boxes = yield* boxfulsOf(instance)
  const table = new ShapeTable()
  const postures = new Map(boxes.flatMap((b) => b.bundles).map((bundle) => [bundle, boxPosture(table, bundle)]))
  const inside = new Map([...postures].map(([bundle, posture]) => [posture, bundle]))
  const items = boxes.map(({ bundles }) =>
    boxItem(
      bundles,
      bundles.map((b) => postures.get(b)!),
    ),
  )
  return {
    instance: {
      ...instance,
      items,
      groups: [],
      shapes: table.shapes,
      maxY: Infinity,
      obstacles: [],
      totalArea: items.reduce((sum, i) => sum + i.area, 0),
    },
    opened: (a) => {
      const spots = a.spots.flatMap(({ item, posture, x, y }) =>
        inside
          .get(posture)!
          .members.map((m, k): Spot => ({
            item: boxes[item]!.members[k]!,
            posture: m.posture,
            x: x + m.dx,
            y: y + m.dy,
            sheet: 0,
          })),
      )
      return {
        ...a,
        spots,
        length: Math.max(...spots.map((s) => s.y + s.posture.shape.height)),
        offsets: instance.groups.map(({ across, along }) => ({ across, along })),
      }
    },
  }
}

const boxPosture = (table: ShapeTable, { width, height }: Bundle): Posture => ({
  shape: table.shapeOf([0, 0, width, 0, width, height, 0, height]),
  turn: 0,
  flip: false,
  originX: 0,
  originY: 0,
  anchorX: 0,
  anchorY: 0,
  standsAt: null,
  alike: [],
})

const boxItem = (bundles: readonly Bundle[], postures: readonly Posture[]): Item => ({
  piece: '',
  copy: 1,
  postures,
  area: Math.min(...bundles.map(areaOf)),
  group: -1,
  across: null,
  along: null,
})
