import { describe, expect, it } from 'vitest'
import type { RefusalReason } from '../cover/index.ts'
import { STATIONS } from '../warning/index.ts'
import { warningWords, type Warning } from './index.ts'

/** Every reason for which a cushion cannot take a make-up. */
const REASONS: readonly RefusalReason[] = [
  { code: 'bowed-edge', edge: 'front' },
  { code: 'leaning-side', edge: 'hull' },
  { code: 'not-rectangular' },
  { code: 'inward-corner' },
  { code: 'borders-collide' },
  { code: 'not-round', depth: 400, thickness: 80 },
  { code: 'roll-too-deep', taken: 22, half: 20 },
  { code: 'lap-too-wide', lap: 66, most: 40 },
  { code: 'opening-over-edge', opening: 900, edge: 400 },
  { code: 'radius-over-half', radius: 60, most: 40 },
  { code: 'tucks-over-half', reach: 300, most: 200 },
  { code: 'slit-outside', share: 0.7 },
  { code: 'slot-outside', inset: 120 },
  { code: 'too-thin-to-border', left: 3 },
  { code: 'board-vanishes' },
  { code: 'hem-over-height', hem: 60, height: 100 },
  { code: 'closure-unfit', closure: 'lapped slit' },
]

/** One of each, so that a new warning without words or example stands out. */
const EXAMPLES: readonly Warning[] = [
  { station: 'measure', level: 'warning', code: 'readings-spread', dimension: 'depth', spread: 9, limit: 3 },
  { station: 'measure', level: 'stop', code: 'cushion-vanishes', dimension: 'width', left: -4 },
  { station: 'measure', level: 'warning', code: 'thickness-over-depth', thickness: 600, depth: 500 },
  { station: 'measure', level: 'stop', code: 'seat-fault', fault: { code: 'no-area' } },
  { station: 'measure', level: 'warning', code: 'diagonal-too-short' },
  { station: 'measure', level: 'warning', code: 'not-square', lean: -14, far: 860, offset: -14 },
  { station: 'measure', level: 'warning', code: 'tape-suspect', tape: 'AC', shouldBe: 1967, off: 30 },
  {
    station: 'measure',
    level: 'warning',
    code: 'tapes-disagree',
    tapes: [
      { tape: 'AC', offMm: 30 },
      { tape: 'AB', offMm: -33 },
    ],
  },
  { station: 'measure', level: 'note', code: 'old-differs', source: 'label', dimension: 'width', was: 600, now: 624 },
  { station: 'measure', level: 'note', code: 'hull-clearance', clearance: 3, usual: 6 },
  { station: 'filling', level: 'stop', code: 'cover-outline-lost' },
  { station: 'filling', level: 'stop', code: 'block-outline-lost' },
  { station: 'lay', level: 'note', code: 'cannot-follow', leader: 'A', because: 'other-cloth' },
  { station: 'lay', level: 'note', code: 'curved-front-match', off: 2.3 },
  { station: 'filling', level: 'safety', code: 'heavy', massKg: 13.24, lengthMm: 1900 },
  { station: 'filling', level: 'warning', code: 'no-sheet-thickness', wanted: 83, nearest: 75, offered: [25, 50] },
  {
    station: 'filling',
    level: 'warning',
    code: 'foam-fails',
    failure: { code: 'on-board', massKg: 100, leftMm: 13, strain: 0.82 },
    base: 'board',
  },
  {
    station: 'filling',
    level: 'warning',
    code: 'foam-fails',
    failure: { code: 'exposure', grade: 'Petrel 65/130', place: 'sun', why: 'latex perishes in the sun' },
    base: 'slats',
  },
  {
    station: 'filling',
    level: 'warning',
    code: 'foam-doubt',
    doubt: { code: 'on-board-aged', year: 3, isSoon: true },
    base: 'webbing',
  },
  { station: 'filling', level: 'note', code: 'foam-doubt', doubt: { code: 'feels-firm', strain: 0.2 }, base: 'mesh' },
  { station: 'filling', level: 'stop', code: 'layers-over-block', block: 75, layers: 80 },
  { station: 'filling', level: 'warning', code: 'too-many-layers', layers: 4 },
  { station: 'filling', level: 'note', code: 'block-joined', joins: 1 },
  { station: 'filling', level: 'warning', code: 'join-under-sitter' },
  { station: 'filling', level: 'warning', code: 'joins-in-line' },
  { station: 'filling', level: 'warning', code: 'not-for-sale', grade: 'Old bench foam' },
  { station: 'filling', level: 'warning', code: 'part-over-sheet', piece: 'A1' },
  { station: 'filling', level: 'note', code: 'seat-height-changes', by: -12 },
  { station: 'filling', level: 'note', code: 'berth-wants-air' },
  { station: 'filling', level: 'note', code: 'wet-wants-vents' },
  { station: 'filling', level: 'warning', code: 'fibre-in-wet' },
  { station: 'filling', level: 'safety', code: 'not-a-lifebuoy' },
  { station: 'filling', level: 'safety', code: 'glue' },
  { station: 'filling', level: 'safety', code: 'hot-wire' },
  { station: 'filling', level: 'safety', code: 'film' },
  { station: 'filling', level: 'safety', code: 'old-foam-dust' },
  { station: 'filling', level: 'stop', code: 'infant-bed' },
  { station: 'filling', level: 'warning', code: 'fit-loose', way: 'across', share: -0.021 },
  { station: 'filling', level: 'warning', code: 'fit-tight', way: 'across', share: 0.041 },
  { station: 'filling', level: 'warning', code: 'fit-too-tight', way: 'front to back', share: 0.0712 },
  { station: 'filling', level: 'warning', code: 'cover-shrinks-seat', width: 24, depth: 24 },
  { station: 'filling', level: 'warning', code: 'wrapped-size-not-measured' },
  { station: 'filling', level: 'safety', code: 'fire-label' },
  { station: 'make-up', level: 'warning', code: 'seam-over-half', panel: 'gusset, upper half', seam: 40, size: 37.5 },
  { station: 'make-up', level: 'warning', code: 'lap-under-hem', lap: 20, covered: 25 },
  { station: 'make-up', level: 'warning', code: 'layer-without-cloth', layer: 'wadding' },
  { station: 'make-up', level: 'warning', code: 'quilted-too-wide', layer: 'wadding', spacing: 200, most: 150 },
  { station: 'make-up', level: 'note', code: 'thick-seam', thickness: 6.2 },
  { station: 'make-up', level: 'warning', code: 'allowance-beside-book', name: 'seam allowance', own: 15, usual: 12.7 },
  { station: 'make-up', level: 'warning', code: 'bare-foam', cloth: 'Ebb linen' },
  { station: 'make-up', level: 'warning', code: 'not-joined', fault: { panel: 'Wrap', because: 'not-in-two' } },
  {
    station: 'make-up',
    level: 'warning',
    code: 'opening-too-small',
    closure: 'zip-gusset',
    way: 'flat',
    opening: 300,
    needed: 480,
    packed: 192,
    girth: 400,
  },
  { station: 'make-up', level: 'note', code: 'straight-piping-corners', cord: 5, needed: 50 },
  { station: 'make-up', level: 'warning', code: 'piping-as-high-as-boxing', cord: 30, thickness: 60 },
  { station: 'pieces', level: 'stop', code: 'check-failed', check: 'seams meet in equal lengths', detail: 'seam F' },
  { station: 'make-up', level: 'note', code: 'boxing-cut-per-side' },
  ...REASONS.map((reason): Warning => ({
    station: 'make-up',
    level: 'stop',
    code: 'make-up-refused',
    refusal: { construction: 'capped', reason, nearest: 'boxed' },
  })),
  { station: 'make-up', level: 'warning', code: 'no-allowance', panel: 'top plate' },
  { station: 'make-up', level: 'note', code: 'lap-over-limit', lap: 26, most: 25.3 },
  { station: 'make-up', level: 'warning', code: 'piping-bend', radius: 20, needed: 50 },
  { station: 'make-up', level: 'warning', code: 'strip-too-narrow', strip: 38, needed: 43, cord: 6 },
  { station: 'make-up', level: 'note', code: 'cloth-gives', share: 0.1, taken: 0.04 },
  { station: 'make-up', level: 'note', code: 'cloth-shrinks', across: 0.02, along: 0.04, washFirst: true },
  { station: 'make-up', level: 'warning', code: 'finishing-wants-allowance', finishing: 'bound', seam: 8, least: 10 },
  { station: 'make-up', level: 'stop', code: 'hot-knife-cloth', cloth: 'Ebb linen' },
  { station: 'make-up', level: 'safety', code: 'hot-knife' },
  { station: 'make-up', level: 'warning', code: 'ties-unreachable', perSide: 4 },
  { station: 'make-up', level: 'warning', code: 'ties-nowhere', count: 2 },
  { station: 'make-up', level: 'warning', code: 'ready-nowhere', panel: 'Top plate', edge: 'hem' },
  { station: 'lay', level: 'warning', code: 'not-folded', cloth: 'Tern check', because: 'patterned' },
  { station: 'lay', level: 'stop', code: 'never-on-selvedge', piece: 'Top plate, cushion 1', because: 'remnant' },
  { station: 'lay', level: 'note', code: 'spare-pieces', cloth: 'House calico', count: 3 },
  { station: 'make-up', level: 'safety', code: 'long-cords', length: 260 },
  { station: 'make-up', level: 'stop', code: 'buttons-outside', count: 6 },
  { station: 'make-up', level: 'note', code: 'buttons-not-washable' },
  { station: 'make-up', level: 'safety', code: 'small-parts' },
  { station: 'make-up', level: 'safety', code: 'stapler' },
  { station: 'make-up', level: 'stop', code: 'liner-in-liner' },
  { station: 'make-up', level: 'warning', code: 'wrap-not-washable', fastening: 'pinned' },
  { station: 'lay', level: 'warning', code: 'nothing-to-match', cloth: 'Storm canvas' },
  { station: 'lay', level: 'note', code: 'sides-cannot-match', edges: 'side', because: 'runs-along' },
  { station: 'lay', level: 'stop', code: 'too-many-pieces', cloth: 'Storm canvas', pieces: 96_900, most: 5000 },
  { station: 'lay', level: 'note', code: 'matches-one-leg', edges: 'side', off: 17 },
  { station: 'lay', level: 'note', code: 'rule-from-front', isTaken: true },
  { station: 'lay', level: 'note', code: 'piping-join-near', clear: 12, wanted: 60 },
  {
    station: 'lay',
    level: 'stop',
    code: 'cloth-too-short',
    cloth: 'Moss loop',
    shortfall: { shortMm: 210, fit: 4, of: 5, turned: { direction: 'railroaded', neededMm: 3850 } },
  },
  { station: 'lay', level: 'note', code: 'depth-rule-idle' },
  {
    station: 'filling',
    level: 'warning',
    code: 'squeezed-much',
    way: 'thickness',
    by: 12,
    share: 0.158,
    causes: ['allowance-left-out'],
  },
  { station: 'make-up', level: 'stop', code: 'grip-vanishes', grip: 'non-slip' },
  { station: 'lay', level: 'note', code: 'under-cannot-match' },
  { station: 'lay', level: 'warning', code: 'band-missing', band: 7, bands: 6 },
  { station: 'lay', level: 'stop', code: 'repeat-over-width', repeat: 1700, usable: 1350 },
  { station: 'lay', level: 'warning', code: 'pile-sideways' },
  {
    station: 'lay',
    level: 'stop',
    code: 'piece-wider-than-cloth',
    piece: 'Top plate',
    over: 94.5,
    cure: 'other-direction',
  },
  { station: 'lists', level: 'safety', code: 'knives' },
  { station: 'make', level: 'safety', code: 'needles' },
]

describe('words for every warning', () => {
  it.each(EXAMPLES.map((w) => [w.code, w] as const))('%s speaks in the units of the job', (_, w) => {
    expect(Object.values(warningWords(w, 'inch-8')).join(' ')).not.toMatch(/\d mm\b/)
  })

  it.each(EXAMPLES.map((w) => [w.code, w] as const))('%s', (_code, w) => {
    const { says, cure } = warningWords(w, 'mm')
    expect(says).toMatch(/^[A-Z].*\.$/)
    expect(`${says} ${cure}`).not.toMatch(/undefined|NaN|null|\[object/)
    // A doubt names its cure; notes and cautions may stand alone.
    if (w.level === 'stop' || w.level === 'warning') expect(cure).toMatch(/^[A-Z].*\.$/)
    expect(STATIONS).toContain(w.station)
  })

  it('speaks the unit of the job', () => {
    const w = EXAMPLES[2]!
    expect(warningWords(w, 'mm').says).toBe('The thickness 600 mm is more than the depth 500 mm.')
    expect(warningWords({ ...w, thickness: 508, depth: 254 } as Warning, 'inch-8').says).toBe(
      'The thickness 20 in is more than the depth 10 in.',
    )
  })

  it('counts bands as a maker does, from one', () =>
    expect(
      warningWords(
        EXAMPLES.find((w) => w.code === 'band-missing')!,
        'mm',
      ).says,
    ).toBe('The placement names band 8; the cloth has 6.'))
  it('a loose cover is larger, not minus tight', () =>
    expect(
      warningWords(
        EXAMPLES.find((w) => w.code === 'fit-loose')!,
        'mm',
      ).says,
    ).toContain('2.1 % larger'))
})
