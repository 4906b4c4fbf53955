import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Job } from '../../contract/index.ts'
import { mergeLays } from './merge-lays.ts'

type Kept = Job['lays'][string]
const kept = (length: number, more: Partial<Kept> = {}): Kept => ({
  problemKey: 'k',
  byHand: false,
  locked: [],
  joint: null,
  lay: {
    format: 'loft-seam/lay',
    version: 1,
    length,
    bound: 0,
    seed: 1,
    seconds: 1,
    placements: [{ id: `of ${length}`, copy: 1, x: 0, y: 0, turn: 0, flip: false }],
    offsets: {},
  },
  ...more,
})
const merged = (base: Kept | null, mine: Kept | null, theirs: Kept | null) => {
  const of = (k: Kept | null) => (k ? { cloth: k } : {})
  const { lays, clashes } = mergeLays(of(base), of(mine), of(theirs))
  return [lays['cloth']?.lay.length ?? null, clashes.length]
}

describe('kept lays of two windows', () => {
  it.each<[string, Kept | null, Kept | null, Kept | null, (number | null)[]]>([
    ['only mine changed', kept(900), kept(800), kept(900), [800, 0]],
    ['only theirs changed', kept(900), kept(900), kept(700), [700, 0]],
    ['both found one: the shorter', null, kept(800), kept(850), [800, 0]],
    ['both found one, theirs shorter', null, kept(900), kept(850), [850, 0]],
    ['for other pieces theirs stays', kept(900), kept(800, { problemKey: 'other' }), kept(850), [850, 0]],
    ['by hand before the planner', kept(900), kept(950, { byHand: true }), kept(800), [950, 0]],
    ['theirs by hand before mine of the planner', kept(900), kept(800), kept(950, { byHand: true }), [950, 0]],
    ['both by hand is a question', kept(900), kept(950, { byHand: true }), kept(960, { byHand: true }), [960, 1]],
    ['forgotten by one, found anew by the other', kept(900), null, kept(800), [800, 0]],
    ['forgotten by one, changed by hand by the other', kept(900), null, kept(950, { byHand: true }), [950, 1]],
    ['forgotten by both', kept(900), null, null, [null, 0]],
  ])('%s', (_, base, mine, theirs, wanted) => expect(merged(base, mine, theirs)).toEqual(wanted))

  it('never half of one and half of the other', () => {
    const any = fc.option(
      fc.record({
        length: fc.integer({ min: 1, max: 5 }),
        byHand: fc.boolean(),
        problemKey: fc.constantFrom('a', 'b'),
      }),
    )
    const of = (x: { length: number; byHand: boolean; problemKey: string } | null): Job['lays'] =>
      x ? { cloth: kept(x.length, { byHand: x.byHand, problemKey: x.problemKey }) } : {}
    fc.assert(
      fc.property(any, any, any, (base, mine, theirs) => {
        const { lays } = mergeLays(of(base), of(mine), of(theirs))
        const own = JSON.stringify(lays)
        expect([JSON.stringify(of(base)), JSON.stringify(of(mine)), JSON.stringify(of(theirs))]).toContain(own)
      }),
    )
  })
})
