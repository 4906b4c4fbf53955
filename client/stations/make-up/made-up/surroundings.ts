import { DirectionalLight, ExtrudeGeometry, Group, HemisphereLight, Mesh, Shape } from 'three'
import { flatten, offsetEdges, type Outline } from '../../../../core/outline/index.ts'
import { isRow } from '../../../../core/seat/index.ts'
import { lambert } from './scene-parts.ts'
import type { Standing } from './standing.ts'

/* What the cushions stand on and are seen by: a board under each that lies, its base, and the light. */

const BOARD = { thickMm: 28, outMm: 14, colour: '#b98f5f' }
const BASE = { highMm: 300, inMm: 30, colour: '#8d7453' }
const FLAT_MM = 2

/** Where the sun stands: at the left front. */
export const SUN = { right: -0.7, up: 1.5, front: 0.9 }

/** The seat a lying cushion rests on, in the cushion's own place: its outline, a board and a base set back under it. */
export function seatUnder({ design, part }: Standing): Group {
  const group = new Group()
  const { outline } = design.cover.solid
  const slab = (byMm: number, highMm: number, topMm: number, colour: string) => {
    const shape = new Shape()
    flatten(byAll(outline, byMm), FLAT_MM).forEach(({ x, y }, i) => (i === 0 ? shape.moveTo(x, y) : shape.lineTo(x, y)))
    const mesh = new Mesh(
      new ExtrudeGeometry(shape, { depth: highMm, bevelEnabled: false }),
      lambert({ color: colour }),
    )
    mesh.rotation.x = -Math.PI / 2
    mesh.position.y = topMm - highMm
    return mesh
  }
  group.add(slab(BOARD.outMm, BOARD.thickMm, 0, BOARD.colour))
  // Under a row the bases meet and make one bench.
  const inMm = isRow(part.part.seat.division) ? 0 : BASE.inMm
  group.add(slab(-inMm, BASE.highMm, -BOARD.thickMm, BASE.colour))
  return group
}

const byAll = (outline: Outline, outMm: number): Outline =>
  offsetEdges(
    outline,
    outline.map(() => outMm),
  )

/** Light from the sky and the floor, and a sun from the left front. */
export function lights(): Group {
  const group = new Group()
  const sun = new DirectionalLight('#fff4e0', 2.3)
  sun.position.set(SUN.right, SUN.up, SUN.front)
  group.add(new HemisphereLight('#ffffff', '#cdb894', 1.9), sun)
  return group
}
