import { phrase } from '../../core/language/index.ts'
import { jpegOf, penOn } from './picture-of.ts'

const LONGEST_PX = 1600
const QUALITY = 0.82
/** A file beyond this is no photo of a cushion. */
const LARGEST_BYTES = 60 * 1024 * 1024

/** A picture made small enough to keep, as JPEG. Throws in words for what is no picture. */
export async function smallerPhoto(file: File): Promise<Blob> {
  if (file.size > LARGEST_BYTES)
    throw new Error(phrase`${file.name} has ${Math.round(file.size / 1024 / 1024)} MB: take a smaller picture.`)
  const picture = await createImageBitmap(file).catch(() => null)
  if (!picture) throw new Error(phrase`${file.name} is no picture that can be shown. Nothing was kept.`)
  const by = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height))
  const [width, height] = [picture.width, picture.height].map((px) => Math.max(1, Math.round(px * by)))
  const pen = penOn(width!, height!)
  pen.drawImage(picture, 0, 0, width!, height!)
  picture.close()
  return jpegOf(pen.canvas, QUALITY, phrase`${file.name} cannot be made smaller.`)
}
