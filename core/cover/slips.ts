import type { PlannedPart } from '../../contract/index.ts'
import type { Raised } from '../warning/index.ts'
import { ALLOWANCE_LABELS, ALLOWANCE_NAMES } from './allowances.ts'
import type { Cover } from './cover.ts'
import { clothFor } from './on-the-roll.ts'
import type { CoverWarning } from './warning.ts'

/** What is snug on purpose or loose by accident: nobody but the maker can tell which. */
export const slips = (job: PlannedPart, cover: Cover): readonly Raised<CoverWarning>[] => [
  ...lapDoubts(job, cover),
  ...layerDoubts(job),
  ...entryDoubts(job),
]

/** A lap that does not cover its own hem or its tape. */
function lapDoubts({ makeUp: { construction, closure } }: PlannedPart, cover: Cover): readonly Raised<CoverWarning>[] {
  const lap = cover.closures[0]?.lap?.value ?? ('lapMm' in construction ? construction.lapMm : null)
  const hem = 'hemMm' in construction && 'lapMm' in construction ? construction.hemMm : 0
  const covered = Math.max(hem, 'tapeMm' in closure && closure.kind !== 'zip-seam' ? closure.tapeMm : 0)
  return lap !== null && lap < covered
    ? [{ station: 'make-up', level: 'warning', code: 'lap-under-hem', lap, covered }]
    : []
}

/** Allowances that look like a slip: in the other unit than the shop's, or several times as much. */
function entryDoubts({ allowances: { book, overrides } }: PlannedPart): readonly Raised<CoverWarning>[] {
  return ALLOWANCE_NAMES.flatMap((name): Raised<CoverWarning>[] => {
    const own = overrides[name]
    const usual = book[name]
    if (own === undefined || own === 0 || usual === 0 || own === usual) return []
    const isFar = own >= FAR_OFF * usual || own <= usual / FAR_OFF
    const isOtherUnit = isInchSize(usual) !== isInchSize(own) && Math.abs(own - usual) <= NEAR_MM
    return isFar || isOtherUnit
      ? [
          {
            station: 'make-up',
            level: 'warning',
            code: 'allowance-beside-book',
            name: ALLOWANCE_LABELS[name].toLowerCase(),
            own,
            usual,
          },
        ]
      : []
  })
}

/** So many times the shop's own is more than another school: 38.1 for 12.7. */
const FAR_OFF = 2.5
/** So near to it, in another unit, it was meant to be the same: 15 for 12.7. */
const NEAR_MM = 3
const SIXTEENTH_MM = 25.4 / 16

/** Fractions of an inch that are no whole millimetres. */
const isInchSize = (mm: number): boolean =>
  Math.abs(mm - Math.round(mm)) > 0.01 && Math.abs(mm / SIXTEENTH_MM - Math.round(mm / SIXTEENTH_MM)) < 0.01

/** Under the foot of the machine wadding is squeezed to a fifth. A rule of thumb of the trade. */
const WADDING_AT_SEAM = 0.2
/** Thicker seams want a longer stitch and a heavier needle, or the layers trimmed out of them. */
const THICK_SEAM_MM = 5

function layerDoubts({ makeUp: { layers }, cloth }: PlannedPart): readonly Raised<CoverWarning>[] {
  const warnings = layers.flatMap((l): Raised<CoverWarning>[] => [
    ...(cloth.others[l.kind]
      ? []
      : [{ station: 'make-up', level: 'warning', code: 'layer-without-cloth', layer: l.kind } as const]),
    ...(l.quilt && l.quilt.spacingMm > l.quilt.mostMm
      ? [
          {
            station: 'make-up',
            level: 'warning',
            code: 'quilted-too-wide',
            layer: l.kind,
            spacing: l.quilt.spacingMm,
            most: l.quilt.mostMm,
          } as const,
        ]
      : []),
  ])
  if (layers.length === 0) return warnings
  const behind = (face: 'top' | 'sides') =>
    layers
      .filter((l) => l.behind.includes(face))
      .reduce((sum, l) => sum + clothFor(cloth, l.kind).thicknessMm * (l.kind === 'wadding' ? WADDING_AT_SEAM : 1), 0)
  const thickness = cloth.cloth.thicknessMm + clothFor(cloth, 'boxing').thicknessMm + behind('top') + behind('sides')
  return thickness > THICK_SEAM_MM
    ? [...warnings, { station: 'make-up', level: 'note', code: 'thick-seam', thickness }]
    : warnings
}
