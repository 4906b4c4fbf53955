import { Closure, ZipEnds, type MakeUp } from '../../../contract/index.ts'
import { usualShut } from '../../../core/cover/index.ts'
import { choice, lengthOf, yesNo, type Built, type Option } from './option.ts'

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
    ? [lengthOf(ZipEnds, 'tabs', { key: 'ends', thing: ends })('showMm', 'Tab shows', ends.showMm)]
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
  const mm = lengthOf(Closure, c.kind)
  switch (c.kind) {
    case 'zip-gusset':
      return construction.kind === 'waterfall'
        ? []
        : [
            ...at(c.side),
            yesNo('lapped', 'Zip covered', c.lapped),
            mm('showsMm', 'Zip shows by', c.showsMm ?? 0),
            mm('pocketMm', 'Pocket at the ends', c.pocketMm),
            ...zipEnds(c.ends),
          ]
    case 'zip-seam': {
      const tape = [mm('tapeMm', 'Tape to stitching', c.tapeMm), ...zipEnds(c.ends)]
      const isEnd = c.side === 'left' || c.side === 'right'
      const overCorner = yesNo('overTwoEdges', 'On over the corner', c.overTwoEdges ?? false)
      const start = mm('startMm', 'Starts from the far corner', c.startMm ?? 0)
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
        mm('insetMm', 'Set in', c.insetMm),
        ...(c.shape === 'u' ? [mm('radiusMm', 'Corners rounded by', c.radiusMm)] : []),
      ]
    case 'hook-and-loop':
      return [
        ...at(c.side),
        mm('tapeMm', 'Tape', c.tapeMm),
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
      return [...at(c.side), mm('tapeMm', 'Tape', c.tapeMm)]
    case 'snaps':
    case 'buttons':
    case 'ties':
    case 'lacing':
      return [...at(c.side), mm('spacingMm', 'No further apart than', c.spacingMm), mm('lapMm', 'Lap', c.lapMm)]
    case 'sewn-shut':
      return [
        ...at(c.side),
        ...(construction.kind === 'wrapped-tube' ? [] : [mm('openingMm', 'Opening', c.openingMm)]),
        ...shutOptions({ construction, closure: c }),
      ]
    case 'slit':
    case 'fixed':
      return []
    default:
      return c satisfies never
  }
}
