import { DxfWriter, point3d, Units, type LWPolylineVertex } from '@tarikjabiri/dxf'
import { isStraight, type Outline, type Point } from '../outline/index.ts'
import type { LayDrawing } from './lay-drawing.ts'

/** What is drawn on which layer, with the colour number that tells them apart on a screen. */
const LAYERS = { CUT: 7, SEW: 5, NOTCH: 1, MARK: 3, TEXT: 8, CLOTH: 9 } as const

const TEXT_MM = 12

/** A lay as DXF in millimetres: x across from the left edge of the cloth, y along from its starting end. */
export function layDxf({ widthMm, lengthMm, pieces }: LayDrawing): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'CONTINUOUS')
  const outline = (o: Outline, layerName: keyof typeof LAYERS) =>
    dxf.addLWPolyline(
      o.map(({ x, y, bulge }): LWPolylineVertex => ({
        point: { x, y },
        ...(isStraight(bulge) ? {} : { bulge: bulge! }),
      })),
      { flags: CLOSED, layerName },
    )
  const line = (a: Point, b: Point, layerName: keyof typeof LAYERS) =>
    dxf.addLine(point3d(a.x, a.y), point3d(b.x, b.y), { layerName })
  outline(
    [
      { x: 0, y: 0 },
      { x: widthMm, y: 0 },
      { x: widthMm, y: lengthMm },
      { x: 0, y: lengthMm },
    ],
    'CLOTH',
  )
  for (const piece of pieces) {
    outline(piece.cut, 'CUT')
    if (piece.sew) outline(piece.sew, 'SEW')
    for (const [a, b] of piece.notches) line(a, b, 'NOTCH')
    for (const path of piece.marks) {
      if (path.length === 1) dxf.addCircle(point3d(path[0]!.x, path[0]!.y), 3, { layerName: 'MARK' })
      for (let i = 0; i + 1 < path.length; i++) line(path[i]!, path[i + 1]!, 'MARK')
    }
    dxf.addText(point3d(piece.middle.x, piece.middle.y), TEXT_MM, plain(piece.name), { layerName: 'TEXT' })
  }
  return dxf.stringify()
}

/** Bit 1 of a polyline's flags. */
const CLOSED = 1

/** Old readers know plain letters only. */
const plain = (text: string): string => text.replace(/[^\x20-\x7e]/g, '?')
