import type { Buttons, Closure, Construction, EarCut, Handles, MakeUp, Ties, Trims } from '../../contract/index.ts'
import { LINER_OPEN_MM, USUAL_LINER } from '../filling/index.ts'

type Kind = Construction['kind']
type ClosureKind = Closure['kind']

export interface MakeUpEntry {
  readonly label: string
  readonly says: string
  readonly usual: Construction
  /** What may close it, the usual first. */
  readonly closures: readonly [ClosureKind, ...ClosureKind[]]
}

const LAPS = ['hook-and-loop', 'snap-tape', 'snaps', 'buttons', 'ties', 'lacing'] as const

/** The templates for corners, as makers use them. */
export const EARS: Readonly<Record<EarCut['kind'], EarCut>> = {
  rounded: { kind: 'rounded', radiusShare: 0.8 },
  tapered: { kind: 'tapered', inMm: 12, overMm: 80 },
  'cut-off': { kind: 'cut-off', cutMm: 25, curveMm: 20 },
  ears: { kind: 'ears' },
}

/** Each make-up: what it is called, how it starts, and what may close it. */
export const MAKE_UPS: Readonly<Record<Kind, MakeUpEntry>> = {
  boxed: {
    label: 'Boxed',
    says: 'Two plates and boxing between them.',
    usual: { kind: 'boxed', boxing: 'one-per-side' },
    closures: ['zip-gusset', 'zip-seam', 'sewn-shut'],
  },
  'lap-closed': {
    label: 'Boxed, lap-closed',
    says: 'As boxed; one short side is two strips that lap and fasten.',
    usual: { kind: 'lap-closed', boxing: 'one-per-side' },
    closures: LAPS,
  },
  'slit-back': {
    label: 'Boxed, slit back',
    says: 'As boxed, no zip: the bottom is two lapped parts.',
    usual: { kind: 'slit-back', boxing: 'one-per-side', share: 0.7, lapMm: 70, hemMm: 25 },
    closures: ['slit'],
  },
  'knife-edge': {
    label: 'Knife-edge',
    says: 'Two plates that meet at mid height, their corners eased.',
    usual: { kind: 'knife-edge', corners: EARS.rounded },
    closures: ['zip-seam', 'sewn-shut'],
  },
  waterfall: {
    label: 'Waterfall',
    says: 'One plate over top, front and bottom; a band at each side.',
    usual: { kind: 'waterfall', frontRadiusMm: 25, tuckMm: 0, tucks: 1, tuckFromMm: 0 },
    closures: ['zip-gusset'],
  },
  'wrapped-tube': {
    label: 'Wrapped tube',
    says: 'One to four panels round the four long faces, and two ends.',
    usual: { kind: 'wrapped-tube', seams: [], closes: 'lower-back' },
    closures: ['snap-tape', 'hook-and-loop', 'snaps', 'buttons', 'zip-seam', 'sewn-shut'],
  },
  capped: {
    label: 'Capped',
    says: 'Top and sides in one blank, and a base.',
    usual: { kind: 'capped', school: 'drawn-to-thickness' },
    closures: ['horseshoe', 'zip-seam', 'sewn-shut'],
  },
  'pinch-corner': {
    label: 'Pinch-corner wrap',
    says: 'Wrapped round, the corners boxed by a seam across.',
    usual: { kind: 'pinch-corner', panels: 'one', share: 0.7, hemMm: 25, lapMm: 70 },
    closures: ['slit', ...LAPS],
  },
  'rolled-edge': {
    label: 'Rolled edge',
    says: 'Boxed, every edge turned and stitched into a firm roll.',
    usual: { kind: 'rolled-edge', rollMm: 10, turnMm: 3 },
    closures: ['sewn-shut'],
  },
  'pull-over': {
    label: 'Pull-over on a board',
    says: 'One blank pulled over and stapled underneath.',
    usual: {
      kind: 'pull-over',
      boardMm: 9,
      turnUnderMm: 45,
      clearanceMm: 3,
      dustCover: true,
      stapleMm: 30,
      stapleRows: 1,
      airHoles: false,
    },
    closures: ['fixed'],
  },
  'hinged-pair': {
    label: 'Hinged pair',
    says: 'Seat and back in one cover, parted by a seam.',
    usual: { kind: 'hinged-pair', backDepthMm: 500 },
    closures: ['sewn-shut', 'zip-seam'],
  },
  'no-sew-wrap': {
    label: 'No-sew wrap',
    says: 'Wrapped like a parcel, bonded or pinned.',
    usual: { kind: 'no-sew-wrap', lapMm: 60, fastening: 'bonded', film: true },
    closures: ['fixed'],
  },
  cube: {
    label: 'Cube',
    says: 'A hassock: a lined slip cover over a block of layers.',
    usual: { kind: 'cube', sheetMm: 50, hemMm: 30 },
    closures: ['snap-tape', 'hook-and-loop', 'buttons', 'zip-seam'],
  },
  bolster: {
    label: 'Bolster',
    says: 'A roll: a body and two round ends.',
    usual: { kind: 'bolster' },
    closures: ['zip-seam', 'sewn-shut'],
  },
  liner: {
    label: 'Liner',
    says: 'An inner cover, sewn shut.',
    usual: { kind: 'liner', of: 'boxed', ...USUAL_LINER },
    closures: ['sewn-shut'],
  },
}

export const CONSTRUCTIONS = Object.keys(MAKE_UPS) as readonly Kind[]

/** How each closure is called, and how it starts. */
export const CLOSURES: {
  readonly [K in ClosureKind]: { readonly label: string; readonly usual: Extract<Closure, { kind: K }> }
} = {
  'zip-gusset': { label: 'Zip in a gusset', usual: { kind: 'zip-gusset', side: 'back', lapped: false, pocketMm: 0 } },
  'zip-seam': { label: 'Zip in the seam', usual: { kind: 'zip-seam', side: 'back', tapeMm: 8 } },
  horseshoe: { label: 'Zip in the base', usual: { kind: 'horseshoe', shape: 'u', insetMm: 60, radiusMm: 60 } },
  'hook-and-loop': { label: 'Hook and loop', usual: { kind: 'hook-and-loop', tapeMm: 20, side: 'left' } },
  'snap-tape': { label: 'Snap tape', usual: { kind: 'snap-tape', tapeMm: 20, side: 'left' } },
  snaps: { label: 'Snaps', usual: { kind: 'snaps', spacingMm: 75, lapMm: 26, side: 'left' } },
  buttons: { label: 'Buttons', usual: { kind: 'buttons', spacingMm: 90, lapMm: 30, side: 'left' } },
  ties: { label: 'Ties', usual: { kind: 'ties', spacingMm: 150, lapMm: 40, side: 'left' } },
  lacing: { label: 'Lacing', usual: { kind: 'lacing', spacingMm: 40, lapMm: 30, side: 'left' } },
  slit: { label: 'Lapped slit', usual: { kind: 'slit' } },
  'sewn-shut': { label: 'Sewn shut', usual: { kind: 'sewn-shut', side: 'back', openingMm: LINER_OPEN_MM } },
  fixed: { label: 'Fixed', usual: { kind: 'fixed' } },
}

export const NO_TRIMS: Trims = {
  ties: null,
  handles: null,
  vents: null,
  grip: { kind: 'none' },
  buttons: null,
  finishing: 'overlocked-together',
  trimReserveMm: 0,
}

/** Buttons, ties and handles as they start. */
export const USUAL_HANDLES: Handles = { side: 'right', count: 1, lengthMm: 180, finishedMm: 30, fitting: 'none' }
export const USUAL_BUTTONS: Buttons = { rows: 2, across: 3, layout: 'even', marginMm: 100, diameterMm: 22, depthMm: 0 }
export const USUAL_TIES: Ties = {
  places: [{ at: 'edge', row: 'foot', side: 'back', count: 2 }],
  finishedMm: 15,
  lengthMm: 200,
  way: 'folded',
  caught: 'at-the-middle',
}

/** How an opening that is sewn shut is shut where nothing is said. */
export const usualShut = (kind: Kind): 'by-hand' | 'top-stitched' =>
  kind === 'hinged-pair' ? 'top-stitched' : 'by-hand'

/** A make-up as it starts: its usual options and closure, no piping, nothing else sewn on. */
export function usualMakeUp(kind: Kind): MakeUp {
  const { usual, closures } = MAKE_UPS[kind]
  return {
    construction: usual,
    closure: CLOSURES[closures[0]].usual,
    piping: { kind: 'none' },
    trims: NO_TRIMS,
    liner: null,
    layers: [],
    reserves: [],
    readyEdges: [],
    joins: [],
  }
}

/** Another make-up for the same cushion: a closure that it cannot have becomes its usual one; piping and trims stay. */
export function rebuilt(makeUp: MakeUp, kind: Kind): MakeUp {
  const { usual, closures } = MAKE_UPS[kind]
  const closure = closures.includes(makeUp.closure.kind) ? makeUp.closure : CLOSURES[closures[0]].usual
  return { ...makeUp, construction: makeUp.construction.kind === kind ? makeUp.construction : usual, closure }
}
