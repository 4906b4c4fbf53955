import fc from 'fast-check'
import type {
  Closure,
  Construction,
  MakeUp,
  PanelJoins,
  PanelLayer,
  EdgeReserve,
  ReadyEdge,
} from '../../contract/index.ts'
import { CLOSURES, CONSTRUCTIONS, MAKE_UPS, NO_TRIMS } from '../cover/index.ts'
import { USUAL_PIPING } from '../job/index.ts'

const side = fc.constantFrom('front' as const, 'right' as const, 'back' as const, 'left' as const)
const tubeSeam = fc.constantFrom('lower-back' as const, 'lower-front', 'upper-front', 'upper-back')
const boxing = fc.constantFrom('wrap' as const, 'one-per-side' as const)
const share = fc.double({ min: 0.5, max: 0.8, noNaN: true })
const mm = (min: number, max: number) => fc.integer({ min, max })

/** Options of each construction, over most of what the contract takes. */
const CONSTRUCTION: { readonly [K in Construction['kind']]: fc.Arbitrary<Extract<Construction, { kind: K }>> } = {
  boxed: fc.record({ kind: fc.constant('boxed' as const), boxing }),
  'lap-closed': fc.record({ kind: fc.constant('lap-closed' as const), boxing }),
  'slit-back': fc.record({
    kind: fc.constant('slit-back' as const),
    boxing,
    share,
    lapMm: mm(10, 120),
    hemMm: mm(0, 50),
  }),
  'knife-edge': fc.record({
    kind: fc.constant('knife-edge' as const),
    corners: fc.constantFrom(
      { kind: 'rounded' as const, radiusShare: 0.8 },
      { kind: 'tapered' as const, inMm: 12, overMm: 80 },
      { kind: 'cut-off' as const, cutMm: 25, curveMm: 20 },
      { kind: 'cut-off' as const, cutMm: 40, curveMm: 0 },
      { kind: 'ears' as const },
    ),
  }),
  waterfall: fc.record({
    kind: fc.constant('waterfall' as const),
    frontRadiusMm: fc.oneof(fc.constant(0), mm(0, 60)),
    tuckMm: mm(0, 30),
    tucks: mm(1, 4),
    tuckFromMm: fc.constantFrom(0, 12, 40),
  }),
  'wrapped-tube': fc.record({
    kind: fc.constant('wrapped-tube' as const),
    seams: fc.uniqueArray(tubeSeam, { maxLength: 4 }),
    closes: tubeSeam,
  }),
  capped: fc.record({
    kind: fc.constant('capped' as const),
    school: fc.constantFrom('drawn-to-thickness' as const, 'full-depth' as const),
  }),
  'pinch-corner': fc.record({
    kind: fc.constant('pinch-corner' as const),
    panels: fc.constantFrom('one' as const, 'three' as const),
    share,
    hemMm: mm(0, 50),
    lapMm: mm(10, 120),
  }),
  'rolled-edge': fc.record({ kind: fc.constant('rolled-edge' as const), rollMm: mm(5, 25), turnMm: mm(0, 6) }),
  'pull-over': fc.record({
    kind: fc.constant('pull-over' as const),
    boardMm: mm(4, 25),
    turnUnderMm: mm(30, 60),
    clearanceMm: mm(0, 10),
    dustCover: fc.boolean(),
    stapleMm: mm(25, 40),
    stapleRows: fc.constantFrom(1, 2),
    airHoles: fc.boolean(),
  }),
  'hinged-pair': fc.record({ kind: fc.constant('hinged-pair' as const), backDepthMm: mm(150, 800) }),
  'no-sew-wrap': fc.record({
    kind: fc.constant('no-sew-wrap' as const),
    lapMm: mm(20, 100),
    fastening: fc.constantFrom('bonded' as const, 'pinned' as const),
    film: fc.boolean(),
  }),
  cube: fc.record({ kind: fc.constant('cube' as const), sheetMm: fc.constantFrom(25, 50, 75, 100), hemMm: mm(0, 60) }),
  bolster: fc.constant({ kind: 'bolster' }),
  liner: fc.record({
    kind: fc.constant('liner' as const),
    of: fc.constantFrom('boxed' as const, 'knife-edge' as const, 'bolster' as const),
    largerShare: fc.double({ min: 0, max: 0.06, noNaN: true }),
  }),
}

const closureOf = (kind: Closure['kind']): fc.Arbitrary<Closure> =>
  fc
    .record({
      at: side,
      opening: mm(50, 900),
      lapped: fc.boolean(),
      pocket: fc.constantFrom(0, 75),
      tape: mm(10, 40),
      inset: mm(30, 120),
    })
    .map(({ at, opening, lapped, pocket, tape, inset }) => {
      const usual = CLOSURES[kind].usual
      const sided = 'side' in usual ? { ...usual, side: at } : usual
      if (sided.kind === 'sewn-shut') return { ...sided, openingMm: opening }
      if (sided.kind === 'zip-gusset')
        return { ...sided, lapped, pocketMm: pocket, ...(tape > 30 ? { showsMm: 6 } : {}) }
      if (sided.kind === 'hook-and-loop' || sided.kind === 'snap-tape') return { ...sided, tapeMm: tape }
      if (sided.kind === 'zip-seam') return { ...sided, overTwoEdges: lapped, startMm: pocket }
      return sided.kind === 'horseshoe' ? { ...sided, insetMm: inset, shape: lapped ? 'u' : 'straight' } : sided
    })

const JOINED = [
  'top-plate',
  'bottom-plate',
  'bottom-front',
  'plate',
  'blank',
  'body',
  'base',
  'boxing-front',
  'boxing-left',
  'boxing',
  'gusset',
  'end-right',
  'dust-cover',
  'none-such',
]

/** Joins of panels that the make-up may have or not. */
const anyJoin: fc.Arbitrary<PanelJoins> = fc.record({
  panel: fc.constantFrom(...JOINED),
  of: fc.constant('cover' as const),
  lines: fc.constantFrom('up' as const, 'across' as const),
  places: fc.oneof(
    fc.record({ kind: fc.constant('even' as const), pieces: fc.integer({ min: 2, max: 6 }) }),
    fc.record({ kind: fc.constant('least-seen' as const), pieces: fc.integer({ min: 2, max: 6 }) }),
    fc.record({ kind: fc.constant('outer' as const), pieces: fc.integer({ min: 3, max: 6 }), outerMm: mm(20, 400) }),
    fc.record({
      kind: fc.constant('at' as const),
      placesMm: fc.uniqueArray(fc.integer({ min: 1, max: 1500 }), { minLength: 1, maxLength: 5 }),
    }),
  ),
})

const RESERVED = ['right', 'left', 'front', 'back', 'end', 'start', 'top', 'lower back', 'none such']

const anyLayer: fc.Arbitrary<PanelLayer> = fc.record({
  kind: fc.constantFrom('lining' as const, 'wadding', 'protector'),
  behind: fc.subarray(['top' as const, 'bottom', 'sides'], { minLength: 1 }),
  quilt: fc.option(fc.record({ spacingMm: mm(60, 300), mostMm: fc.constant(150) })),
})

/** Any make-up of a kind, closed in any way it can be. */
export const anyMakeUpOf = (kind: Construction['kind']): fc.Arbitrary<MakeUp> =>
  fc
    .constantFrom(...MAKE_UPS[kind].closures)
    .chain((closure) =>
      fc.record({
        construction: CONSTRUCTION[kind] as fc.Arbitrary<Construction>,
        closure: closureOf(closure),
        piping: fc.constantFrom({ kind: 'none' as const }, USUAL_PIPING, {
          ...USUAL_PIPING,
          rows: 'top' as const,
          sides: ['front' as const, 'left' as const],
          cut: 'bias' as const,
        }),
        trims: fc.constant(NO_TRIMS),
        liner: fc.constant(null),
        layers: fc.oneof(
          { weight: 3, arbitrary: fc.constant<PanelLayer[]>([]) },
          { weight: 1, arbitrary: fc.array(anyLayer, { maxLength: 2 }) },
        ),
        reserves: fc.oneof(
          { weight: 3, arbitrary: fc.constant<EdgeReserve[]>([]) },
          {
            weight: 1,
            arbitrary: fc.array(
              fc.record({ panel: fc.constantFrom(...JOINED), edge: fc.constantFrom(...RESERVED), mm: mm(5, 40) }),
              { maxLength: 3 },
            ),
          },
        ),
        readyEdges: fc.oneof(
          { weight: 3, arbitrary: fc.constant<ReadyEdge[]>([]) },
          {
            weight: 1,
            arbitrary: fc.array(
              fc.record({
                panel: fc.constantFrom(...JOINED),
                edge: fc.constantFrom(...RESERVED, 'slit', 'hem'),
                is: fc.constantFrom('selvedge' as const, 'factory-hem'),
              }),
              { maxLength: 2 },
            ),
          },
        ),
        joins: fc.oneof(
          { weight: 2, arbitrary: fc.constant<PanelJoins[]>([]) },
          { weight: 1, arbitrary: fc.array(anyJoin, { maxLength: 3 }) },
        ),
      }),
    )

export const anyMakeUp: fc.Arbitrary<MakeUp> = fc.constantFrom(...CONSTRUCTIONS).chain(anyMakeUpOf)
