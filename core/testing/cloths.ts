import fc from 'fast-check'
import type { Band, Cloth, ClothChoice, Pattern } from '../../contract/index.ts'
import { USUAL_CLOTH } from '../cloth/index.ts'
import { bandsOf } from '../pattern/index.ts'

const band: fc.Arbitrary<Band> = fc.record({
  name: fc.constant('band'),
  colour: fc.constantFrom('#aabbcc', '#223344', '#a8502d'),
  widthMm: fc.integer({ min: 4, max: 70 }),
})
const bands = fc.array(band, { minLength: 2, maxLength: 5 })
const startMm = fc.integer({ min: 0, max: 200 })

const anyPattern: fc.Arbitrary<Pattern> = fc.oneof(
  fc.constant<Pattern>({ kind: 'plain' }),
  fc.record({
    kind: fc.constant('stripes' as const),
    runs: fc.constantFrom('along' as const, 'across' as const),
    bands,
    startMm,
  }),
  fc.record({ kind: fc.constant('check' as const), across: bands, along: bands, startMm, startAlongMm: startMm }),
  fc.record({
    kind: fc.constant('motif' as const),
    acrossMm: fc.integer({ min: 60, max: 400 }),
    alongMm: fc.integer({ min: 60, max: 500 }),
    colour: fc.constant('#335566'),
    startMm,
    startAlongMm: startMm,
    halfDrop: fc.boolean(),
  }),
)

/** Cloth of every pattern, bought or in hand, with or without a flaw. */
export const anyCloth: fc.Arbitrary<Cloth> = fc
  .record({
    pattern: anyPattern,
    widthMm: fc.integer({ min: 900, max: 1600 }),
    nap: fc.constantFrom('two-way' as const, 'one-way' as const),
    inHand: fc.boolean(),
    flawed: fc.boolean(),
    shrinks: fc.boolean(),
  })
  .map(({ pattern, widthMm, nap, inHand, flawed, shrinks }) => ({
    ...USUAL_CLOTH,
    id: 'any',
    name: 'Any',
    ground: '#ddccbb',
    pricePerMetre: 10,
    pattern,
    widthMm,
    nap,
    shrink: shrinks ? { across: 0.02, along: 0.03 } : USUAL_CLOTH.shrink,
    supply: inHand ? { kind: 'length', lengthMm: 30_000 } : USUAL_CLOTH.supply,
    flaws: flawed ? [{ xMm: 200, yMm: 300, widthMm: 30, lengthMm: 40 }] : [],
  }))

/** A cloth with any way of placing its pattern. */
export const anyClothChoice: fc.Arbitrary<ClothChoice> = fc
  .record({
    cloth: anyCloth,
    direction: fc.constantFrom('up-the-roll' as const, 'railroaded' as const),
    rule: fc.constantFrom(
      'band-on-centre' as const,
      'band-on-each-centre' as const,
      'band-at-left-end' as const,
      'band-at-mark' as const,
    ),
    isMatched: fc.boolean(),
    band: fc.integer({ min: 0, max: 4 }),
    alongRule: fc.constantFrom(
      'front-edges-alike' as const,
      'centred' as const,
      { kind: 'band-on-middle' as const, band: 1 },
      { kind: 'band-from-front' as const, band: 0, fromMm: 60 },
    ),
    pairs: fc.constantFrom('goes-on-under' as const, 'same' as const),
    hiddenStrips: fc.constantFrom('across' as const, 'along'),
    sideBoxing: fc.constantFrom('upright' as const, 'along' as const),
    moreJoins: fc.constantFrom(0, 0, 1, 3),
  })
  .map(({ cloth, direction, rule, isMatched, band: wanted, alongRule, pairs, sideBoxing, hiddenStrips, moreJoins }) => {
    const own = Math.min(wanted, Math.max(0, bandsOf(cloth, 'across').length - 1))
    return {
      cloth,
      direction,
      match: isMatched
        ? {
            kind: 'matched',
            rule: rule === 'band-at-mark' ? { kind: rule, band: own, markMm: 140 } : { kind: rule, band: own },
          }
        : { kind: 'none' },
      alongRule,
      pairs,
      others: {},
      hiddenStrips,
      sideBoxing,
      strips: { kind: 'even' as const, moreJoins },
    }
  })
