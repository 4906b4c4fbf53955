import { expect, it } from 'vitest'
import { drawnPart } from './picture-of.ts'

/** A picture of so many points, see-through but for some. */
function picture(width: number, height: number, drawn: readonly (readonly [number, number])[], opacity = 200) {
  const data = new Uint8ClampedArray(4 * width * height)
  for (const [x, y] of drawn) data[4 * (y * width + x) + 3] = opacity
  return { data, width, height, colorSpace: 'srgb' as const }
}

it('a picture is cut to what is drawn on it', () => {
  const drawn = [
    [3, 2],
    [7, 5],
    [4, 4],
  ] as const
  expect(drawnPart(picture(12, 9, drawn))).toEqual({ left: 3, top: 2, right: 8, bottom: 6 })
  expect(drawnPart(picture(12, 9, [[0, 0]]))).toEqual({ left: 0, top: 0, right: 1, bottom: 1 })
})

it('an empty picture stays as it is', () => {
  expect(drawnPart(picture(12, 9, []))).toEqual({ left: 0, top: 0, right: 12, bottom: 9 })
})

it('what fades away is not part of it', () => {
  const faint = picture(12, 9, [[11, 8]], 39)
  faint.data[4 * (2 * 12 + 3) + 3] = 40
  expect(drawnPart(faint)).toEqual({ left: 3, top: 2, right: 4, bottom: 3 })
})
