import DxfParser from 'dxf-parser'
import { dxfDanger } from '../../core/formats/index.ts'
import { err, ok, type Result } from '../../core/result/index.ts'

interface Vertex {
  readonly x: number
  readonly y: number
  readonly bulge?: number
}

/** $INSUNITS of a drawing in millimetres. */
const MILLIMETRES = 4

/**
 * What a table must know of a file before it cuts: how much there is to cut, and that it is in millimetres and on the
 * bed. Else why not.
 */
export function readCutFile(
  dxf: string,
  [bedWidthMm, bedLengthMm]: readonly [number, number],
): Result<{ readonly cutMm: number }, string> {
  const danger = dxfDanger(dxf)
  if (danger) return err(`The file cannot be cut: ${danger}.`)
  const file = parse(dxf)
  if (!file || !Array.isArray(file.entities))
    return err('The file is not a drawing in DXF: save the lay again and send that.')
  if (file.header?.['$INSUNITS'] !== MILLIMETRES)
    return err('The file does not say that it is in millimetres: it might be cut at another size.')
  const cuts = file.entities
    .filter((e) => e.layer === 'CUT')
    .flatMap((e) => ('vertices' in e ? [(e as unknown as { vertices: Vertex[] }).vertices] : []))
  if (cuts.length === 0) return err('There is nothing on the layer CUT.')
  const points = cuts.flat()
  if (points.some((p) => p.x < -1 || p.y < -1))
    return err('Something lies beyond the corner of the bed: the lay must begin at nought.')
  const [width, length] = [
    points.reduce((most, p) => Math.max(most, p.x), 0),
    points.reduce((most, p) => Math.max(most, p.y), 0),
  ]
  if (width > bedWidthMm)
    return err(
      `The lay is ${Math.ceil(width)} mm wide, the bed ${bedWidthMm} mm: fold the cloth or lay it on narrower cloth.`,
    )
  if (length > bedLengthMm)
    return err(`The lay is ${Math.ceil(length)} mm long, the table takes ${bedLengthMm} mm: cut it in two lays.`)
  return ok({ cutMm: cuts.reduce((sum, c) => sum + girth(c), 0) })
}

function parse(dxf: string) {
  try {
    return new DxfParser().parseSync(dxf)
  } catch {
    return null
  }
}

/** Length of a closed line; an arc of bulge b over a chord turns by 4·atan(b). */
const girth = (vertices: readonly Vertex[]): number =>
  vertices.reduce((sum, v, i) => {
    const next = vertices[(i + 1) % vertices.length]!
    const chord = Math.hypot(next.x - v.x, next.y - v.y)
    const sweep = 4 * Math.atan(Math.abs(v.bulge ?? 0))
    return sum + (sweep < 1e-6 ? chord : (chord * sweep) / (2 * Math.sin(sweep / 2)))
  }, 0)
