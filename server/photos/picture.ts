import { err, ok, type Result } from '../../core/result/index.ts'
import { imageType } from './image-type.ts'

export type ImageType = NonNullable<ReturnType<typeof imageType>>

export interface Picture {
  readonly type: ImageType
  /** The picture without what the camera wrote about it: place, time, owner, a smaller picture of before it was cut. */
  readonly bytes: Buffer
}

/** What a page sends is far smaller; a picture of more takes gigabytes to show. */
const MOST_PIXELS = 24_000_000

/** Reads a picture by its content; in words why it is not taken. */
export function readPicture(bytes: Buffer): Result<Picture, string> {
  const type = imageType(bytes)
  if (!type) return err('This file is no picture: JPEG, PNG or WebP is taken.')
  const read = READERS[type](bytes)
  if (!read) return err('The picture is cut off or damaged: save it once more, and send that.')
  if (read.pixels > MOST_PIXELS) return err('The picture is too large to be shown: send it at 24 megapixels or less.')
  return ok({ type, bytes: Buffer.concat(read.parts) })
}

interface Parts {
  readonly pixels: number
  readonly parts: readonly Buffer[]
}

const READERS: Readonly<Record<ImageType, (bytes: Buffer) => Parts | null>> = {
  'image/jpeg': jpegParts,
  'image/png': pngParts,
  'image/webp': webpParts,
}

/**
 * Segments of a JPEG file (ITU-T T.81, annex B) but for APP1 to APP15 and comments; APP0 and APP14 say how colours are
 * coded.
 */
function jpegParts(bytes: Buffer): Parts | null {
  const parts = [bytes.subarray(0, 2)]
  let pixels = 0
  for (let at = 2; at + 4 <= bytes.length;) {
    if (bytes[at] !== 0xff) return null
    const marker = bytes[at + 1]!
    if (marker === 0xff) {
      at++
      continue
    }
    // From the start of the scan on there is picture alone.
    if (marker === 0xda) return pixels > 0 ? { pixels, parts: [...parts, bytes.subarray(at)] } : null
    const end = at + 2 + bytes.readUInt16BE(at + 2)
    if (end > bytes.length) return null
    const isFrame = marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)
    if (isFrame && end - at >= 9) pixels = bytes.readUInt16BE(at + 5) * bytes.readUInt16BE(at + 7)
    const isSaid = (marker >= 0xe1 && marker <= 0xef && marker !== 0xee) || marker === 0xfe
    if (!isSaid) parts.push(bytes.subarray(at, end))
    at = end
  }
  return null
}

const PNG_KEPT = new Set(['IHDR', 'PLTE', 'IDAT', 'IEND', 'tRNS', 'gAMA', 'cHRM', 'sRGB', 'sBIT', 'pHYs', 'bKGD'])

/** Chunks of a PNG file (ISO/IEC 15948): those that make the picture. */
function pngParts(bytes: Buffer): Parts | null {
  const parts = [bytes.subarray(0, 8)]
  let pixels = 0
  for (let at = 8; at + 12 <= bytes.length;) {
    const end = at + 12 + bytes.readUInt32BE(at)
    const name = bytes.toString('latin1', at + 4, at + 8)
    if (end > bytes.length) return null
    if (name === 'IHDR') pixels = bytes.readUInt32BE(at + 8) * bytes.readUInt32BE(at + 12)
    if (PNG_KEPT.has(name)) parts.push(bytes.subarray(at, end))
    if (name === 'IEND') return pixels > 0 ? { pixels, parts } : null
    at = end
  }
  return null
}

const WEBP_KEPT = new Set(['VP8 ', 'VP8L', 'VP8X', 'ALPH'])
/** Flags of VP8X that say EXIF and XMP follow (RFC 9649, section 2.7). */
const EXIF_OR_XMP = 0x0c

/** Chunks of a WebP file, with the size of the whole written anew. */
function webpParts(bytes: Buffer): Parts | null {
  const parts: Buffer[] = []
  let pixels = 0
  for (let at = 12; at + 8 <= bytes.length;) {
    const name = bytes.toString('latin1', at, at + 4)
    const size = bytes.readUInt32LE(at + 4)
    const end = at + 8 + size + (size % 2)
    if (at + 8 + size > bytes.length) return null
    const chunk = Buffer.from(bytes.subarray(at, end))
    pixels = Math.max(pixels, webpPixels(name, chunk.subarray(8)))
    if (name === 'VP8X') chunk[8]! &= ~EXIF_OR_XMP
    if (WEBP_KEPT.has(name)) parts.push(chunk)
    at = end
  }
  if (pixels === 0) return null
  const head = Buffer.from(bytes.subarray(0, 12))
  head.writeUInt32LE(4 + parts.reduce((sum, p) => sum + p.length, 0), 4)
  return { pixels, parts: [head, ...parts] }
}

function webpPixels(name: string, body: Buffer): number {
  if (name === 'VP8X' && body.length >= 10) return (body.readUIntLE(4, 3) + 1) * (body.readUIntLE(7, 3) + 1)
  if (name === 'VP8 ' && body.length >= 10) return (body.readUInt16LE(6) & 0x3fff) * (body.readUInt16LE(8) & 0x3fff)
  if (name === 'VP8L' && body.length >= 5) {
    const bits = body.readUInt32LE(1)
    return ((bits & 0x3fff) + 1) * (((bits >>> 14) & 0x3fff) + 1)
  }
  return 0
}
