import { Construction, EarCut, TubeSeam } from '../../../contract/index.ts'
import { EARS, tubeSeams } from '../../../core/cover/index.ts'
import { choice, lengthOf, share, yesNo, type Built, type Option } from './option.ts'

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

/** What can be chosen of a make-up. */
export function constructionOptions({ construction: c, closure }: Built): readonly Option[] {
  const mm = lengthOf(Construction, c.kind)
  switch (c.kind) {
    case 'boxed':
    case 'lap-closed':
      // A zip in the seam wants its boxing one per side.
      return closure.kind === 'zip-seam' ? [] : [choice('boxing', 'Boxing', c.boxing, BOXING)]
    case 'slit-back':
      return [
        choice('boxing', 'Boxing', c.boxing, BOXING),
        share('share', 'Front part', c.share, SLIT_SHARES),
        mm('lapMm', 'Lap', c.lapMm),
        mm('hemMm', 'Hem', c.hemMm),
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
        mm('frontRadiusMm', 'Front rounded by', c.frontRadiusMm),
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
        ...(closure.kind === 'slit' || c.panels === 'three' ? [mm('lapMm', 'Lap', c.lapMm)] : []),
        mm('hemMm', 'Hem', c.hemMm),
      ]
    case 'rolled-edge':
      return [mm('rollMm', 'Roll', c.rollMm), mm('turnMm', 'Turn', c.turnMm)]
    case 'pull-over':
      return [
        mm('boardMm', 'Board', c.boardMm),
        mm('turnUnderMm', 'Turned under', c.turnUnderMm),
        mm('clearanceMm', 'Board smaller by', c.clearanceMm),
        mm('stapleMm', 'A staple every', c.stapleMm),
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
      return [mm('backDepthMm', 'Back, hinge to top', c.backDepthMm)]
    case 'no-sew-wrap':
      return [
        mm('lapMm', 'Lap', c.lapMm),
        choice('fastening', 'Fastened', c.fastening, [
          ['bonded', 'Bonded'],
          ['pinned', 'Pinned'],
        ]),
        yesNo('film', 'Film under it', c.film),
      ]
    case 'cube':
      return [mm('sheetMm', 'Sheets of', c.sheetMm), mm('hemMm', 'Hem at the foot', c.hemMm)]
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
  const mm = lengthOf(EarCut, c.kind, { key: 'corners', thing: c })
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
      return [mm('inMm', 'In at the corner', c.inMm), mm('overMm', 'Over so much of each edge', c.overMm)]
    case 'cut-off':
      return [mm('cutMm', 'Cut off each edge', c.cutMm), mm('curveMm', 'Ends rounded by', c.curveMm)]
    default:
      return c satisfies never
  }
}

function tuckOptions(c: Extract<Construction, { kind: 'waterfall' }>): readonly Option[] {
  const mm = lengthOf(Construction, c.kind)
  const depth = mm('tuckMm', 'Depth of a tuck', c.tuckMm)
  if (c.tuckMm === 0) return [depth]
  const count = choice(
    'tucks',
    'Tucks at a corner',
    String(c.tucks),
    [1, 2, 3, 4].map((n) => [String(n), String(n)] as const),
    Number,
  )
  return [depth, count, mm('tuckFromMm', 'From the corner, and apart', c.tuckFromMm)]
}
