import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { placesBeside } from './beside.ts'

interface Lying {
  readonly at: number
  readonly long: number
  readonly wide: number
}

const meet = (a: Lying, b: Lying) => a.at < b.at + b.long && b.at < a.at + a.long
const isSound = (boxes: readonly Lying[], places: readonly number[], room: number) =>
  boxes.every(
    (a, i) =>
      places[i]! >= 0 &&
      places[i]! + a.wide <= room &&
      boxes.every(
        (b, j) => j <= i || !meet(a, b) || places[i]! + a.wide <= places[j]! || places[j]! + b.wide <= places[i]!,
      ),
  )

/** Tries every whole place of every box. */
function hasPlaces(boxes: readonly Lying[], room: number, set: readonly number[] = []): boolean {
  if (set.length === boxes.length) return isSound(boxes, set, room)
  const next = boxes[set.length]!
  for (let place = 0; place + next.wide <= room; place++) {
    if (isSound(boxes.slice(0, set.length + 1), [...set, place], room) && hasPlaces(boxes, room, [...set, place]))
      return true
  }
  return false
}

const lying = fc.record({
  at: fc.nat({ max: 5 }),
  long: fc.integer({ min: 1, max: 5 }),
  wide: fc.integer({ min: 1, max: 4 }),
})

describe('places across for boxes that are set along', () => {
  it('by hand: three pairs that fit by their sums, but not by places', () => {
    // Every level holds 3 of 3, yet the box of 2 in the middle would have to stand at both sides.
    const boxes = [
      { at: 0, long: 2, wide: 1 },
      { at: 0, long: 1, wide: 2 },
      { at: 1, long: 1, wide: 2 },
    ]
    expect(placesBeside(boxes, 3, null)).toEqual([0, 1, 1])
    const crossed = [
      { at: 0, long: 2, wide: 1 },
      { at: 0, long: 1, wide: 1 },
      { at: 0, long: 3, wide: 1 },
      { at: 1, long: 2, wide: 1 },
      { at: 2, long: 2, wide: 1 },
      { at: 3, long: 1, wide: 2 },
    ]
    expect(placesBeside(crossed, 3, null)).not.toBeNull()
    expect(
      placesBeside(
        [
          { at: 0, long: 2, wide: 2 },
          { at: 1, long: 2, wide: 2 },
        ],
        3,
        null,
      ),
    ).toBeNull()
  })

  it('are found exactly where trying all finds some', () => {
    fc.assert(
      fc.property(fc.array(lying, { minLength: 1, maxLength: 6 }), fc.integer({ min: 4, max: 7 }), (boxes, room) => {
        const places = placesBeside(boxes, room, null)
        expect(places !== null).toBe(hasPlaces(boxes, room))
        if (places !== null) expect(places !== 'undecided' && isSound(boxes, places, room)).toBe(true)
      }),
      { numRuns: 300 },
    )
  })

  it('keep what is known of the first boxes when the others go beside them, and look again when not', () => {
    fc.assert(
      fc.property(fc.array(lying, { minLength: 2, maxLength: 6 }), fc.nat({ max: 5 }), (boxes, known) => {
        const first = placesBeside(boxes.slice(0, known), 7, null)
        if (first === null || first === 'undecided') return
        const places = placesBeside(boxes, 7, first)
        expect(places !== null).toBe(hasPlaces(boxes, 7))
        if (places !== null) expect(places !== 'undecided' && isSound(boxes, places, 7)).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
})
