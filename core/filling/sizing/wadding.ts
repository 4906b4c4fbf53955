import { phrase } from '../../language/index.ts'
import type { Wadding } from '../../../contract/index.ts'
import { entered, given, over, plus, times, type Expression, type Operand } from '../../working/index.ts'
import type { CushionSize } from '../../seat/index.ts'

/** Under its cover wadding keeps about a third of its loft. A rule of thumb of the trade. */
const SQUEEZED_TO = 3

/** How many layers lie across each direction of a wrapped block, both faces together; folded ends lie double. */
export function wrappedFaces({ top, bottom, front, back, ends }: Wadding): {
  readonly width: number
  readonly depth: number
  readonly thickness: number
} {
  return {
    width: { bare: 0, covered: 2, folded: 4 }[ends],
    depth: Number(front) + Number(back),
    thickness: Number(top) + Number(bottom),
  }
}

/** What one face of wadding adds, squeezed by the cover. */
export const squeezedMm = ({ layers, loftMm }: Wadding): number => (layers * loftMm) / SQUEEZED_TO

/** The sizes of a block with its wadding on: as measured where that was done, else calculated. */
export function wrappedSizes(block: CushionSize, wadding: Wadding): Record<keyof CushionSize, Operand> {
  const { measured } = wadding
  if (measured) return measuredSizes(measured)
  const faces = wrappedFaces(wadding)
  const grown = (way: keyof CushionSize) =>
    faces[way] === 0 ? block[way] : plus(block[way], added(faces[way], wadding))
  return { width: grown('width'), depth: grown('depth'), thickness: grown('thickness') }
}

const added = (faces: number, { layers, loftMm }: Wadding): Expression =>
  times(
    given(faces, 'count', 'faces'),
    over(
      times(given(layers, 'count', 'layers'), given(loftMm, 'length', 'loft')),
      given(SQUEEZED_TO, 'count', 'squeezed to a third'),
    ),
  )

function measuredSizes(measured: NonNullable<Wadding['measured']>): CushionSize {
  const side = (key: keyof CushionSize, value: number) =>
    entered({
      id: `wrapped.${key}`,
      label: phrase`Wrapped ${key}`,
      quantity: 'length',
      line: 'net',
      value,
      rule: 'measured on the wrapped block',
      setBy: 'measured',
      change: 'filling.measured',
    })
  return {
    width: side('width', measured.widthMm),
    depth: side('depth', measured.depthMm),
    thickness: side('thickness', measured.thicknessMm),
  }
}
