import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { TiePlace } from '../../../contract/index.ts'
import { boxSolid, coverOf } from '../../testing/jobs.ts'
import { USUAL_TIES, usualMakeUp, type Cover } from '../index.ts'

const solid = boxSolid(600, 500, 100)
const tied = (places: TiePlace[], kind: Parameters<typeof usualMakeUp>[0] = 'boxed'): Cover =>
  coverOf(solid, {
    kind,
    trims: { ...usualMakeUp(kind).trims, ties: { ...USUAL_TIES, places } },
    ...(kind === 'boxed' ? { closure: { kind: 'sewn-shut', side: 'back', openingMm: 300 } as const } : {}),
  })
const marked = (cover: Cover) =>
  cover.panels.flatMap((p) =>
    p.marks.filter((m) => m.kind === 'tie').map((m) => [p.id, Math.round(m.path[0]!.x), Math.round(m.path[0]!.y)]),
  )

describe('ties by place, on a cushion of 600 x 500 x 100', () => {
  it('at the foot and at the top of the back: 2 each, a sixth from its ends', () => {
    const cover = tied([
      { at: 'edge', row: 'foot', side: 'back', count: 2 },
      { at: 'edge', row: 'top', side: 'back', count: 2 },
    ])
    // The side is walked against the clock: from the right end of the back to its left one. The bottom lies mirrored.
    expect(marked(cover)).toEqual([
      ['top-plate', 500, 500],
      ['top-plate', 100, 500],
      ['bottom-plate', 100, 500],
      ['bottom-plate', 500, 500],
    ])
  })

  it('90 from the ends, where that is said', () =>
    expect(marked(tied([{ at: 'edge', row: 'top', side: 'front', count: 2, endMm: 90 }]))).toEqual([
      ['top-plate', 90, 0],
      ['top-plate', 510, 0],
    ]))

  it('in a grid of 2 x 3 underneath, 80 in from the edges: 440 and 340 apart, 220 and 340', () => {
    const places = marked(tied([{ at: 'underside', rows: 2, across: 3, marginMm: 80 }]))
    expect(places.every(([panel]) => panel === 'bottom-plate')).toBe(true)
    expect(new Set(places.map(([, x]) => x))).toEqual(new Set([80, 300, 520]))
    expect(new Set(places.map(([, , y]) => y))).toEqual(new Set([80, 420]))
  })

  it('on the face of a side and at its corners, so far up', () => {
    const cover = tied([
      { at: 'face', side: 'left', count: 1, upMm: 40 },
      { at: 'corners', side: 'left', upMm: 40 },
    ])
    const left = marked(cover)
    expect(left.every(([, , y]) => y === 40)).toBe(true)
    expect(left).toHaveLength(3)
    expect(left).toContainEqual(['boxing-left', 250, 40])
    // The corners lie at the ends of the strips that meet there, 600 and 500 long.
    expect(
      left
        .filter(([panel, x]) => panel !== 'boxing-left' || x !== 250)
        .every(([, x]) => [0, 500, 600].includes(Number(x))),
    ).toBe(true)
  })

  it('at the hinge of a pair: one at each end of the divider', () => {
    const cover = tied([{ at: 'hinge', count: 2 }], 'hinged-pair')
    const divider = cover.panels[0]!.marks.find((m) => m.kind === 'sew')!
    expect(marked(cover)).toEqual(divider.path.map((p) => ['top-plate', Math.round(p.x), Math.round(p.y)]))
  })

  it('where there is no such place it is counted: a hinge on a boxed cushion, a face on a pillow', () => {
    expect(tied([{ at: 'hinge', count: 2 }]).tiesNowhere).toBe(2)
    expect(tied([{ at: 'face', side: 'left', count: 3, upMm: 30 }], 'knife-edge').tiesNowhere).toBe(3)
    expect(tied([{ at: 'underside', rows: 1, across: 1, marginMm: 400 }]).tiesNowhere).toBe(1)
  })

  it('one tie is cut for each place, marked or told', () => {
    const place: fc.Arbitrary<TiePlace> = fc.oneof(
      fc.record({
        at: fc.constant('edge' as const),
        row: fc.constantFrom('top' as const, 'foot'),
        side: fc.constantFrom('front' as const, 'left', 'back', 'right'),
        count: fc.integer({ min: 1, max: 4 }),
      }),
      fc.record({
        at: fc.constant('underside' as const),
        rows: fc.integer({ min: 1, max: 3 }),
        across: fc.integer({ min: 1, max: 3 }),
        marginMm: fc.integer({ min: 20, max: 280 }),
      }),
    )
    fc.assert(
      fc.property(fc.array(place, { minLength: 1, maxLength: 3 }), (places) => {
        const cover = tied(places)
        const wanted = places.reduce(
          (sum, p) => sum + (p.at === 'edge' ? p.count : p.at === 'underside' ? p.rows * p.across : 0),
          0,
        )
        expect(cover.panels.find((p) => p.id === 'tie')!.times).toBe(wanted)
        expect(marked(cover).length + cover.tiesNowhere).toBe(wanted)
      }),
      { numRuns: 60 },
    )
  })
})
