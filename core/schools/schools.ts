import { phrase } from '../language/index.ts'
import type { Construction, PartJob, KeptSchool } from '../../contract/index.ts'
import { EARS } from '../cover/index.ts'
import { setAllowance, setMakeUp } from '../job/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import { keptSchools } from './kept.ts'
import type { School } from './school.ts'

/**
 * The schools that can be followed on a job's make-up: the allowance of the shop's book first, then those the shop
 * keeps by name.
 */
export const schoolsFor = (job: PartJob, kept: readonly KeptSchool[]): readonly School[] => {
  const [byTheBook, ...widths] = allowanceSchools(job)
  return [byTheBook!, ...keptSchools(job, kept), ...widths, ...constructionSchools(job.makeUp.construction, job.units)]
}

const WIDTHS = [
  [6, 'little to turn, for fine cloth and small pieces'],
  [10, 'common; enough for overlocking'],
  [12, 'common; enough to bind'],
  [15, 'for cloth that frays, and for letting out'],
] as const

function allowanceSchools({ allowances, units }: PartJob): readonly School[] {
  const book = allowances.book.seamMm
  const says = (mm: number) => phrase`Seam ${formatLengthWithUnit(mm, units)}`
  return [
    {
      id: 'seam-book',
      name: phrase`${says(book)}, by the book`,
      says: 'as the shop always does',
      edit: setAllowance('seamMm', null, 'Seam allowance by the book'),
    },
    ...WIDTHS.filter(([mm]) => mm !== book).map(([mm, reason]): School => ({
      id: `seam-${mm}`,
      name: says(mm),
      says: reason,
      edit: setAllowance('seamMm', mm, says(mm)),
    })),
  ]
}

const construction = (id: string, name: string, says: string, change: Construction): School => ({
  id,
  name,
  says,
  edit: setMakeUp(name, (m) => ({ ...m, construction: change })),
})

/** Where makers differ within one make-up. */
function constructionSchools(c: Construction, unit: LengthUnit): readonly School[] {
  switch (c.kind) {
    case 'boxed':
    case 'lap-closed':
      return [
        construction('wrap', 'Boxing in one wrap', 'fewer joins, quicker to sew', { ...c, boxing: 'wrap' }),
        construction('per-side', 'Boxing one per side', 'stripes can match, and corners stay sharp', {
          ...c,
          boxing: 'one-per-side',
        }),
      ]
    case 'slit-back':
      return [0.5, 0.7].map((share) =>
        construction(
          `slit-${share}`,
          phrase`Slit at ${share * 100} %`,
          share === 0.5 ? 'in the middle, out of sight when it is turned' : 'easier to fill',
          { ...c, share },
        ),
      )
    case 'knife-edge':
      return [
        construction('ears-rounded', 'Corners rounded', 'by a template of 0.8 of the thickness', {
          ...c,
          corners: EARS.rounded,
        }),
        construction(
          'ears-tapered',
          'Corners tapered',
          phrase`${formatLengthWithUnit(12, unit)} in over ${formatLengthWithUnit(80, unit)}`,
          { ...c, corners: EARS.tapered },
        ),
        construction('ears', 'Corners left', 'they stand up as ears', { ...c, corners: EARS.ears }),
      ]
    case 'waterfall':
      return [
        construction(
          'front-round',
          phrase`Front rounded by ${formatLengthWithUnit(25, unit)}`,
          'softer under the knee, and less cloth',
          { ...c, frontRadiusMm: 25, tuckMm: 0 },
        ),
        construction('front-square', 'Front square', 'as the block is cut', { ...c, frontRadiusMm: 0 }),
      ]
    case 'capped':
      return [
        construction(
          'drawn',
          'Border drawn to the thickness',
          'the bottom seam is taken out of it: a plumper cushion',
          { ...c, school: 'drawn-to-thickness' },
        ),
        construction('full', 'Border at full depth', 'the border finishes at the thickness', {
          ...c,
          school: 'full-depth',
        }),
      ]
    case 'rolled-edge':
      return [8, 10, 14].map((rollMm) =>
        construction(
          `roll-${rollMm}`,
          phrase`Roll ${formatLengthWithUnit(rollMm, unit)}`,
          rollMm < 10 ? 'a fine edge' : rollMm === 10 ? 'common' : 'a heavy edge',
          { ...c, rollMm },
        ),
      )
    case 'pinch-corner':
      return [
        construction('pinch-one', 'One panel', 'fewest seams', { ...c, panels: 'one' }),
        construction('pinch-three', 'Three panels', 'stripes can be centred on the top', { ...c, panels: 'three' }),
      ]
    case 'pull-over':
      return [40, 45, 50].map((turnUnderMm) =>
        construction(
          `under-${turnUnderMm}`,
          phrase`${formatLengthWithUnit(turnUnderMm, unit)} turned under`,
          'more to pull by',
          { ...c, turnUnderMm },
        ),
      )
    case 'wrapped-tube':
    case 'hinged-pair':
    case 'no-sew-wrap':
    case 'cube':
    case 'bolster':
    case 'liner':
      return []
    default:
      return c satisfies never
  }
}
