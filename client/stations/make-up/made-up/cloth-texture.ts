import { CanvasTexture, RepeatWrapping, SRGBColorSpace, type Texture } from 'three'
import type { Cloth, Lay } from '../../../../contract/index.ts'
import { clothTile, tileStart } from '../../../drawing/cloth-tile.ts'

/** One repeat of a cloth as a texture, `widthMm` across and `lengthMm` along. Plain cloth shows a fine weave. */
export interface ClothTexture {
  readonly texture: Texture
  readonly widthMm: number
  readonly lengthMm: number
  readonly start: { readonly across: number; readonly along: number }
}

const PIXELS = 512
const WEAVE_MM = 24
const WEAVE_PIXELS = 64

export function clothTexture(cloth: Cloth, lay: Lay | null): ClothTexture {
  const tile = clothTile(cloth)
  const isPlain = tile.parts.length === 0
  const [widthMm, lengthMm] = isPlain ? [WEAVE_MM, WEAVE_MM] : [tile.widthMm, tile.lengthMm]
  const canvas = document.createElement('canvas')
  canvas.width = isPlain ? WEAVE_PIXELS : PIXELS
  canvas.height = isPlain ? WEAVE_PIXELS : PIXELS
  const pen = canvas.getContext('2d')!
  pen.fillStyle = tile.ground
  pen.fillRect(0, 0, canvas.width, canvas.height)
  if (isPlain) weave(pen)
  // A texture's rows rise from its foot: along the roll is upwards.
  for (const { points, colour, opacity } of tile.parts) {
    pen.globalAlpha = opacity
    pen.fillStyle = colour
    pen.beginPath()
    points.forEach(([x, y]) => pen.lineTo((x / widthMm) * canvas.width, (1 - y / lengthMm) * canvas.height))
    pen.fill()
  }
  const texture = new CanvasTexture(canvas)
  texture.wrapS = RepeatWrapping
  texture.wrapT = RepeatWrapping
  texture.colorSpace = SRGBColorSpace
  texture.anisotropy = 4
  return { texture, widthMm, lengthMm, start: tileStart(cloth, lay) }
}

function weave(pen: CanvasRenderingContext2D): void {
  pen.fillStyle = 'rgb(0 0 0 / 5%)'
  for (let i = 0; i < WEAVE_PIXELS; i += 8) pen.fillRect(i, 0, 3, WEAVE_PIXELS)
  for (let j = 0; j < WEAVE_PIXELS; j += 8) pen.fillRect(0, j, WEAVE_PIXELS, 3)
}
