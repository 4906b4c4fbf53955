import { TubeSeam, type Construction, type EarCut, type MakeUp, type ZipEnds } from '../../../contract/index.ts'
import { EARS, tubeSeams, usualShut } from '../../../core/cover/index.ts'

/** A choice or a length of a make-up or a closure. */
export type Option =
  | {
      readonly kind: 'length'
      readonly key: string
      readonly label: string
      readonly value: number
      readonly min: number
      readonly max: number
      /** What is set at its key. */
      readonly write: (mm: number) => unknown
    }
  | {
      readonly kind: 'choice'
      readonly key: string
      readonly label: string
      readonly value: string
      readonly choices: readonly { readonly value: string; readonly label: string }[]
      readonly read: (value: string) => unknown
    }

const length = (
  key: string,
  label: string,
  value: number,
  min: number,
  max: number,
  write: (mm: number) => unknown = (mm) => mm,
): Option => ({ kind: 'length', key, label, value, min, max, write })
const choice = (
  key: string,
  label: string,
  value: string,
  choices: readonly (readonly [string, string, ...unknown[]])[],
  read: (value: string) => unknown = (v) => v,
): Option => ({ kind: 'choice', key, label, value, choices: choices.map(([v, l]) => ({ value: v, label: l })), read })
const yesNo = (key: string, label: string, value: boolean): Option =>
  choice(
    key,
    label,
    value ? 'yes' : 'no',
    [
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    (v) => v === 'yes',
  )
const share = (key: string, label: string, value: number, shares: readonly number[]): Option =>
  choice(
    key,
    label,
    String(value),
    shares.map((s) => [String(s), `${Math.round(s * 100)} %`] as const),
    Number,
  )

/** One cloth over top and front, another over bottom and back, in as many panels. */
const TUBE_SPLITS = [
  ['one', 'One', 0],
  ['two', 'Two', 2],
  ['three', 'Three', 3],
  ['four', 'Four', 4],
] as const
const TUBE_SEAMS: Readonly<Record<(typeof TUBE_SPLITS)[number][0], readonly TubeSeam[]>> = {
  one: [],
  two: ['lower-front', 'upper-back'],
  three: ['lower-back', 'lower-front', 'upper-back'],
  four: TubeSeam.options,
}
const TUBE_WORDS: Readonly<Record<TubeSeam, string>> = {
  'lower-back': 'Lower back',
  'lower-front': 'Lower front',
  'upper-front': 'Upper front',
  'upper-back': 'Upper back',
}
const BOXING = [
  ['wrap', 'One wrap'],
  ['one-per-side', 'One per side'],
] as const
const SLIT_SHARES = [0.5, 0.6, 0.7, 0.8]

/** How a cover is built and closed; a control that would change nothing there is not shown. */
export type Built = Pick<MakeUp, 'construction' | 'closure'>

/** What can be chosen of a make-up. */
export function constructionOptions({ construction: c, closure }: Built): readonly Option[] {
  switch (c.kind) {
    case 'boxed':
    case 'lap-closed':
      // A zip in the seam wants its boxing one per side.
      return closure.kind === 'zip-seam' ? [] : [choice('boxing', 'Boxing', c.boxing, BOXING)]
    case 'slit-back':
      return [
        choice('boxing', 'Boxing', c.boxing, BOXING),
        share('share', 'Front part', c.share, SLIT_SHARES),
        length('lapMm', 'Lap', c.lapMm, 1, 200),
        length('hemMm', 'Hem', c.hemMm, 0, 100),
      ]
    case 'knife-edge':
      return [
        choice(
          'corners',
          'Corners',
          c.corners.kind,
          [
            ['rounded', 'Rounded'],
            ['tapered', 'Tapered'],
            ['cut-off', 'Cut off'],
            ['ears', 'Left as ears'],
          ],
          (v) => EARS[v as EarCut['kind']],
        ),
        ...cornerOptions(c.corners),
      ]
    case 'waterfall':
      return [
        length('frontRadiusMm', 'Front rounded by', c.frontRadiusMm, 0, 500),
        ...(c.frontRadiusMm === 0 ? tuckOptions(c) : []),
      ]
    case 'wrapped-tube': {
      const panels = choice(
        'seams',
        'Panels round it',
        TUBE_SPLITS.find(([, , s]) => s === c.seams.length)?.[0] ?? 'one',
        TUBE_SPLITS,
        (v) => TUBE_SEAMS[v as keyof typeof TUBE_SEAMS],
      )
      const isEnd = closure.kind === 'zip-seam' && (closure.side === 'left' || closure.side === 'right')
      // One panel may be seamed, and opened, at any of the long edges.
      const places = c.seams.length === 0 ? TubeSeam.options : tubeSeams(c).seams
      const closes = tubeSeams(c).closing
      return isEnd
        ? [panels]
        : [
            panels,
            choice(
              'closes',
              'Closes along',
              closes,
              places.map((s) => [s, TUBE_WORDS[s]] as const),
            ),
          ]
    }
    case 'bolster':
      return []
    case 'capped':
      return [
        choice('school', 'Border', c.school, [
          ['drawn-to-thickness', 'Drawn to thickness'],
          ['full-depth', 'Full depth'],
        ]),
      ]
    case 'pinch-corner':
      return [
        choice('panels', 'Panels', c.panels, [
          ['one', 'One'],
          ['three', 'Three'],
        ]),
        share('share', 'Slit at', c.share, SLIT_SHARES),
        ...(closure.kind === 'slit' || c.panels === 'three' ? [length('lapMm', 'Lap', c.lapMm, 1, 200)] : []),
        length('hemMm', 'Hem', c.hemMm, 0, 100),
      ]
    case 'rolled-edge':
      return [length('rollMm', 'Roll', c.rollMm, 1, 60), length('turnMm', 'Turn', c.turnMm, 0, 20)]
    case 'pull-over':
      return [
        length('boardMm', 'Board', c.boardMm, 1, 60),
        length('turnUnderMm', 'Turned under', c.turnUnderMm, 1, 150),
        length('clearanceMm', 'Board smaller by', c.clearanceMm, 0, 30),
        length('stapleMm', 'A staple every', c.stapleMm, 15, 80),
        choice(
          'stapleRows',
          'Rows of staples',
          String(c.stapleRows),
          [
            ['1', 'One'],
            ['2', 'Two'],
          ],
          Number,
        ),
        yesNo('dustCover', 'Dust cover', c.dustCover),
        yesNo('airHoles', 'Air holes', c.airHoles),
      ]
    case 'hinged-pair':
      return [length('backDepthMm', 'Back, hinge to top', c.backDepthMm, 1, 3000)]
    case 'no-sew-wrap':
      return [
        length('lapMm', 'Lap', c.lapMm, 1, 300),
        choice('fastening', 'Fastened', c.fastening, [
          ['bonded', 'Bonded'],
          ['pinned', 'Pinned'],
        ]),
        yesNo('film', 'Film under it', c.film),
      ]
    case 'cube':
      return [length('sheetMm', 'Sheets of', c.sheetMm, 1, 300), length('hemMm', 'Hem at the foot', c.hemMm, 0, 100)]
    case 'liner':
      return [
        choice('of', 'Shape', c.of, [
          ['boxed', 'Boxed'],
          ['knife-edge', 'Knife-edge'],
          ['bolster', 'Bolster'],
        ]),
        choice(
          'largerShare',
          'Larger by',
          String(c.largerShare),
          [
            ['0', '0'],
            ['0.03', '3 %'],
            ['0.04', '4 %'],
            ['0.05', '5 %'],
          ],
          Number,
        ),
      ]
    default:
      return c satisfies never
  }
}

/** The corner template of a plate without boxing. */
function cornerOptions(c: EarCut): readonly Option[] {
  switch (c.kind) {
    case 'ears':
      return []
    case 'rounded':
      return [
        choice(
          'corners',
          'Radius, of the thickness',
          String(c.radiusShare),
          [...new Set([0.5, 0.65, 0.8, 1, c.radiusShare])]
            .toSorted((a, b) => a - b)
            .map((s) => [String(s), `${Math.round(s * 100)} %`] as const),
          (v) => ({ ...c, radiusShare: Number(v) }),
        ),
      ]
    case 'tapered':
      return [
        length('corners', 'In at the corner', c.inMm, 1, 40, (inMm) => ({ ...c, inMm })),
        length('corners', 'Over so much of each edge', c.overMm, 1, 300, (overMm) => ({ ...c, overMm })),
      ]
    case 'cut-off':
      return [
        length('corners', 'Cut off each edge', c.cutMm, 1, 300, (cutMm) => ({ ...c, cutMm })),
        length('corners', 'Ends rounded by', c.curveMm, 0, 300, (curveMm) => ({ ...c, curveMm })),
      ]
    default:
      return c satisfies never
  }
}

function tuckOptions(c: Extract<Construction, { kind: 'waterfall' }>): readonly Option[] {
  const depth = length('tuckMm', 'Depth of a tuck', c.tuckMm, 0, 80)
  if (c.tuckMm === 0) return [depth]
  const count = choice(
    'tucks',
    'Tucks at a corner',
    String(c.tucks),
    [1, 2, 3, 4].map((n) => [String(n), String(n)] as const),
    Number,
  )
  return [depth, count, length('tuckFromMm', 'From the corner, and apart', c.tuckFromMm, 0, 300)]
}

const ZIP_ENDS: Readonly<Record<ZipEnds['kind'], ZipEnds>> = {
  'sewn-across': { kind: 'sewn-across' },
  stops: { kind: 'stops' },
  tabs: { kind: 'tabs', showMm: 20 },
}
const zipEnds = (ends: ZipEnds = ZIP_ENDS['sewn-across']): readonly Option[] => [
  choice(
    'ends',
    'Zip ends',
    ends.kind,
    [
      ['sewn-across', 'Sewn across'],
      ['stops', 'Stops'],
      ['tabs', 'Tabs'],
    ],
    (v) => ZIP_ENDS[v as ZipEnds['kind']],
  ),
  ...(ends.kind === 'tabs'
    ? [length('ends', 'Tab shows', ends.showMm, 1, 80, (showMm) => ({ kind: 'tabs', showMm }))]
    : []),
]

/** How an opening is shut for good, where the make-up leaves the choice. */
function shutOptions({ construction, closure }: Built): readonly Option[] {
  if (closure.kind !== 'sewn-shut' || construction.kind === 'rolled-edge') return []
  return [
    choice('shut', 'Shut', closure.shut ?? usualShut(construction.kind), [
      ['by-hand', 'By hand'],
      ['top-stitched', 'Top-stitched'],
      ['held-down', 'Held down'],
    ]),
  ]
}

const OPENS_ITS_OWN_WAY: ReadonlySet<MakeUp['construction']['kind']> = new Set([
  'waterfall',
  'wrapped-tube',
  'pinch-corner',
  'hinged-pair',
  'cube',
  'bolster',
])

const side = (value: string): Option =>
  choice('side', 'At the', value, [
    ['front', 'Front'],
    ['right', 'Right'],
    ['back', 'Back'],
    ['left', 'Left'],
  ])

/** What can be chosen of a closure. */
export function closureOptions({ construction, closure: c }: Built): readonly Option[] {
  // Where the make-up alone says where it opens, the side is not asked.
  const at = (value: string): readonly Option[] => (OPENS_ITS_OWN_WAY.has(construction.kind) ? [] : [side(value)])
  switch (c.kind) {
    case 'zip-gusset':
      return construction.kind === 'waterfall'
        ? []
        : [
            ...at(c.side),
            yesNo('lapped', 'Zip covered', c.lapped),
            length('showsMm', 'Zip shows by', c.showsMm ?? 0, 0, 30),
            length('pocketMm', 'Pocket at the ends', c.pocketMm, 0, 200),
            ...zipEnds(c.ends),
          ]
    case 'zip-seam': {
      const tape = [length('tapeMm', 'Tape to stitching', c.tapeMm, 0, 20), ...zipEnds(c.ends)]
      const isEnd = c.side === 'left' || c.side === 'right'
      const overCorner = yesNo('overTwoEdges', 'On over the corner', c.overTwoEdges ?? false)
      const start = length('startMm', 'Starts from the far corner', c.startMm ?? 0, 0, 2000)
      if (construction.kind === 'boxed')
        return [side(c.side), ...(isEnd ? [overCorner, ...(c.overTwoEdges ? [start] : [])] : []), ...tape]
      if (construction.kind !== 'wrapped-tube') return [...at(c.side), ...tape]
      return [
        choice('side', 'Opens', isEnd ? c.side : 'back', [
          ['back', 'A long seam'],
          ['left', 'Left end'],
          ['right', 'Right end'],
        ]),
        ...(isEnd ? [overCorner, start] : []),
        ...tape,
      ]
    }
    case 'horseshoe':
      return [
        choice('shape', 'Slot', c.shape, [
          ['u', 'On three sides'],
          ['straight', 'Straight'],
        ]),
        length('insetMm', 'Set in', c.insetMm, 1, 300),
        ...(c.shape === 'u' ? [length('radiusMm', 'Corners rounded by', c.radiusMm, 1, 300)] : []),
      ]
    case 'hook-and-loop':
      return [
        ...at(c.side),
        length('tapeMm', 'Tape', c.tapeMm, 1, 100),
        choice(
          'spots',
          'Closed',
          String(c.spots ?? 0),
          [
            ['0', 'All along'],
            ['1', 'One spot'],
            ['2', 'Two'],
            ['3', 'Three'],
            ['5', 'Five'],
          ],
          (v) => (v === '0' ? undefined : Number(v)),
        ),
        choice('fixed', 'Tape is', c.fixed ?? 'sewn', [
          ['sewn', 'Sewn'],
          ['pressed-on', 'Pressed on'],
        ]),
      ]
    case 'snap-tape':
      return [...at(c.side), length('tapeMm', 'Tape', c.tapeMm, 1, 100)]
    case 'snaps':
    case 'buttons':
    case 'ties':
    case 'lacing':
      return [
        ...at(c.side),
        length('spacingMm', 'No further apart than', c.spacingMm, 20, 400),
        length('lapMm', 'Lap', c.lapMm, 1, 200),
      ]
    case 'sewn-shut':
      return [
        ...at(c.side),
        ...(construction.kind === 'wrapped-tube' ? [] : [length('openingMm', 'Opening', c.openingMm, 1, 20_000)]),
        ...shutOptions({ construction, closure: c }),
      ]
    case 'slit':
    case 'fixed':
      return []
    default:
      return c satisfies never
  }
}
