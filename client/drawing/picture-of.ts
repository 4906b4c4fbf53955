/** Paper under a drawing that has no ground of its own. */
const PAPER = '#fffefb'
const QUALITY = 0.88
/** Left free round what is drawn, of its longer side. */
const EDGE = 0.02

/** What a canvas shows, cut to that and put on paper, as JPEG. @throws Error in words where the browser cannot write it. */
export async function pictureOf(shown: HTMLCanvasElement): Promise<Blob> {
  const { width, height } = shown
  const bare = penOn(width, height)
  bare.drawImage(shown, 0, 0)
  const { left, top, right, bottom } = drawnPart(bare.getImageData(0, 0, width, height))
  const edge = Math.round(EDGE * Math.max(right - left, bottom - top))
  const sheet = penOn(right - left + 2 * edge, bottom - top + 2 * edge)
  sheet.fillStyle = PAPER
  sheet.fillRect(0, 0, sheet.canvas.width, sheet.canvas.height)
  sheet.drawImage(bare.canvas, edge - left, edge - top)
  return jpegOf(sheet.canvas, QUALITY, 'This picture cannot be kept by this browser.')
}

/** To draw on a canvas of its own. */
export function penOn(width: number, height: number): CanvasRenderingContext2D {
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  return canvas.getContext('2d')!
}

/** Fainter than this, of 255, nothing is seen: a floor that fades away. */
const FAINT = 40

/** The part of a picture that is not see-through; all of it where nothing is drawn. */
export function drawnPart({ data, width, height }: Pick<ImageData, 'data' | 'width' | 'height'>) {
  let [left, top, right, bottom] = [width, height, 0, 0]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (data[4 * (y * width + x) + 3]! < FAINT) continue
      left = Math.min(left, x)
      right = Math.max(right, x + 1)
      top = Math.min(top, y)
      bottom = y + 1
    }
  return right === 0 ? { left: 0, top: 0, right: width, bottom: height } : { left, top, right, bottom }
}

/** A canvas as JPEG. @throws Error with these words where the browser cannot write it. */
export const jpegOf = (canvas: HTMLCanvasElement, quality: number, orElse: string): Promise<Blob> =>
  new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(orElse))), 'image/jpeg', quality),
  )
