import { phrase } from '../../language/index.ts'
import type { Construction, TubeSeam } from '../../../contract/index.ts'
import type { Solid } from '../../seat/index.ts'
import { plus, times, type Operand } from '../../working/index.ts'
import type { SeamPair, Stretch } from '../seam.ts'

/** The long edges up the wrap from the lower back; the i-th face lies between the i-th edge and the next. */
const EDGES: readonly TubeSeam[] = ['lower-back', 'lower-front', 'upper-front', 'upper-back']
const FACES = ['bottom', 'front', 'top', 'back'] as const
export type TubeFace = (typeof FACES)[number]

interface TubePanel {
  readonly id: string
  readonly name: string
  /** From its lower edge up. */
  readonly faces: readonly TubeFace[]
  readonly from: TubeSeam
  readonly to: TubeSeam
  /** What its lower and its upper edge are called. */
  readonly names: { readonly from: string; readonly to: string }
  readonly height: Operand
}

/** The four long faces of a tube, in panels between its long seams. */
export interface Tube {
  readonly w: number
  readonly d: number
  readonly t: number
  readonly panels: readonly TubePanel[]
  /** From the lower back up: how long each face is, and where it begins on its panel. */
  readonly faces: readonly {
    readonly face: TubeFace
    readonly panel: string
    readonly fromMm: number
    readonly mm: number
  }[]
  readonly seams: readonly { readonly edge: TubeSeam; readonly pair: SeamPair }[]
  /** The long seam that opens, where one does. */
  readonly closing: TubeSeam
}

type TubeBuild = Extract<Construction, { kind: 'wrapped-tube' }>

/** The long seams of a tube, from the lower back up, and the one that opens where one of them does. */
export function tubeSeams({ seams: wanted, closes }: Pick<TubeBuild, 'seams' | 'closes'>): {
  readonly seams: readonly TubeSeam[]
  readonly closing: TubeSeam
} {
  const seams = wanted.length === 0 ? [closes] : EDGES.filter((e) => wanted.includes(e))
  return { seams, closing: seams.includes(closes) ? closes : seams.includes('upper-back') ? 'upper-back' : seams[0]! }
}

export function tubeOf(solid: Solid, construction: TubeBuild): Tube {
  const { seams, closing } = tubeSeams(construction)
  const [w, d, t] = [solid.width.value, solid.depth.value, solid.thickness.value]
  const size = (face: TubeFace) => (face === 'top' || face === 'bottom' ? solid.depth : solid.thickness)
  const panels = seams.map((from, i): TubePanel => {
    const to = seams[(i + 1) % seams.length]!
    const first = EDGES.indexOf(from)
    const count = (EDGES.indexOf(to) - first + 4) % 4 || 4
    const faces = Array.from({ length: count }, (_, k) => FACES[(first + k) % 4]!)
    return {
      id: count === 4 ? 'body' : `wrap-${faces.join('-')}`,
      name: count === 4 ? 'Wrap' : capital(faces.join(' and ')),
      faces,
      from,
      to,
      names: {
        from: edgeWords(from),
        to: count < 4 ? edgeWords(to) : from === 'lower-back' ? 'upper back' : phrase`${edgeWords(to)}, upper side`,
      },
      height:
        count === 4
          ? times(2, plus(solid.depth, solid.thickness))
          : count === 1
            ? size(faces[0]!)
            : plus(...faces.map(size)),
    }
  })
  const faces = FACES.map((face) => {
    const panel = panels.find((p) => p.faces.includes(face))!
    const before = panel.faces.slice(0, panel.faces.indexOf(face))
    return { face, panel: panel.id, fromMm: before.reduce((sum, f) => sum + size(f).value, 0), mm: size(face).value }
  })
  return { w, d, t, panels, faces, closing, seams: seams.map((edge) => ({ edge, pair: longPair(panels, edge, w) })) }
}

/** A long seam: the lower edge of the panel above it, to the upper edge of the one below it. */
function longPair(panels: readonly TubePanel[], edge: TubeSeam, w: number): SeamPair {
  const [above, below] = [panels.find((p) => p.from === edge)!, panels.find((p) => p.to === edge)!]
  return {
    a: { panel: above.id, edge: above.names.from, from: 0, to: w },
    b: { panel: below.id, edge: below.names.to, from: w, to: 0 },
  }
}

/** Where a face lies along the side edge of its panel, upwards. */
export function onPanel(tube: Tube, face: TubeFace, side: 'left' | 'right'): Stretch {
  const own = tube.faces.find((f) => f.face === face)!
  const whole = tube.faces.filter((f) => f.panel === own.panel).reduce((sum, f) => sum + f.mm, 0)
  const [from, to] = [own.fromMm, own.fromMm + own.mm]
  return side === 'right'
    ? { panel: own.panel, edge: side, from, to }
    : { panel: own.panel, edge: side, from: whole - from, to: whole - to }
}

const edgeWords = (edge: TubeSeam): string => edge.replace('-', ' ')
const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)
