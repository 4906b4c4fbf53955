import { CanvasTexture, RepeatWrapping, SRGBColorSpace, type Texture } from 'three'
import type { Cloth } from '../../../../contract/index.ts'
import { bandsWidth } from '../../../../core/cloth/index.ts'

/** One repeat of a cloth as a texture; `widthMm` of cloth across its width. Plain cloth shows a fine weave. */
export interface ClothTexture {
  readonly texture: Texture
  readonly widthMm: number
  readonly startMm: number
}

const PIXELS = 512
const WEAVE_MM = 24

export function clothTexture(cloth: Cloth): ClothTexture {
  const canvas = document.createElement('canvas')
  const isStriped = cloth.pattern.kind === 'stripes'
  const widthMm = cloth.pattern.kind === 'stripes' ? bandsWidth(cloth.pattern.bands) : WEAVE_MM
  canvas.width = isStriped ? PIXELS : 64
  canvas.height = isStriped ? 4 : 64
  const pen = canvas.getContext('2d')!
  pen.fillStyle = cloth.ground
  pen.fillRect(0, 0, canvas.width, canvas.height)
  if (cloth.pattern.kind === 'stripes') {
    let at = 0
    for (const band of cloth.pattern.bands) {
      pen.fillStyle = band.colour
      pen.fillRect((at / widthMm) * canvas.width, 0, (band.widthMm / widthMm) * canvas.width + 1, canvas.height)
      at += band.widthMm
    }
  } else {
    pen.fillStyle = 'rgb(0 0 0 / 5%)'
    for (let i = 0; i < 64; i += 8) pen.fillRect(i, 0, 3, 64)
    for (let j = 0; j < 64; j += 8) pen.fillRect(0, j, 64, 3)
  }
  const texture = new CanvasTexture(canvas)
  texture.wrapS = RepeatWrapping
  texture.wrapT = RepeatWrapping
  texture.colorSpace = SRGBColorSpace
  texture.anisotropy = 4
  return { texture, widthMm, startMm: cloth.pattern.kind === 'stripes' ? cloth.pattern.startMm : 0 }
}
