import { phrase } from '../../language/index.ts'
import type { Cutting, Grade } from '../../../contract/index.ts'
import { SHEET_TRIM_MM } from '../../seat/index.ts'
import type { SheetRoom } from './joins.ts'

/** Width of foam that each tool turns to crumbs. */
export const KERF_MM: Readonly<Record<Cutting['tool'], number>> = {
  'electric-knife': 2,
  'bread-knife': 3,
  'hot-wire': 1,
}

/** What is left of a sheet once its seldom-true edges are trimmed off. */
export const sheetRoom = ({ lengthMm, widthMm }: Grade['sheets'][number], { trimMm }: Cutting): SheetRoom => ({
  lengthMm: lengthMm - 2 * trimMm,
  widthMm: widthMm - 2 * trimMm,
})

/** A new job's ways of cutting. */
export const USUAL_CUTTING: Cutting = {
  tool: 'electric-knife',
  trimMm: SHEET_TRIM_MM,
  joint: 'butt',
  supply: 'sheets',
  glueGM2: 90,
  glueFaces: 2,
  glueCoats: 1,
  film: 'none',
  oversizeMm: 0,
  stock: [],
  nest: null,
}

/** Which tool goes through a thickness, and how it is held; `say`: a length in the units of the job. */
export function toolWords(thicknessMm: number, tool: Cutting['tool'], say: (mm: number) => string): string {
  if (tool === 'hot-wire') return 'hot wire, slowly and with the window open'
  if (thicknessMm <= 25) return 'long scissors, or a snap knife in two passes'
  const knife = tool === 'electric-knife' ? 'electric knife' : 'fine-toothed bread knife'
  return thicknessMm <= DEEPEST_CUT_MM
    ? phrase`${knife} held upright along the table edge, the block raised clear`
    : phrase`${knife} from both faces, or have it cut: over ${say(DEEPEST_CUT_MM)} a blade wanders`
}

/** Deeper than this a blade leaves its line. */
const DEEPEST_CUT_MM = 150
