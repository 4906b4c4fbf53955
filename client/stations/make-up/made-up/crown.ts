import type { FillingPlan } from '../../../../core/filling/index.ts'

/** How far a face stands out at its middle, by how soft what is inside is. For the eye alone: no figure hangs on it. */
export interface Crown {
  /** Of a plate that the filling presses out. */
  readonly faceMm: number
  /** Of what is between two seams, as boxing: held by both. */
  readonly sideMm: number
}

/** Foam eases its cover a little, what it is larger than its cover by more; a loose filling rounds it. */
export function crownOf(filling: FillingPlan): Crown {
  const thicknessMm = filling.sizing.cover.thickness.value
  const faceMm = Math.min(thicknessMm * MOST_SHARE, pressedOutMm(filling, thicknessMm))
  return { faceMm, sideMm: Math.min(MOST_SIDE_MM, faceMm * SIDE_SHARE) }
}

const MOST_SHARE = 0.2
const SIDE_SHARE = 0.4
const MOST_SIDE_MM = 8
const BARE_FOAM_MM = 6
/** Foam of this hardness is neither soft nor firm, N (indentation at 40 %). */
const MIDDLING_N = 150

function pressedOutMm(filling: FillingPlan, thicknessMm: number): number {
  switch (filling.kind) {
    case 'foam': {
      const { wrapped, cover } = filling.sizing
      const squeezedMm = Math.max(0, wrapped.thickness.value - cover.thickness.value)
      const soft = filling.hardnessN === null ? 1 : Math.min(2, MIDDLING_N / filling.hardnessN)
      return BARE_FOAM_MM * soft + squeezedMm / 2
    }
    case 'insert':
      return thicknessMm * 0.14
    case 'loose-fibre':
      return thicknessMm * 0.18
    default:
      return filling satisfies never
  }
}

/** Share of the crown at a distance from the edge of a face that reaches its full height `reachMm` inside. */
export const risesBy = (fromEdgeMm: number, reachMm: number): number => {
  const left = 1 - Math.min(1, fromEdgeMm / reachMm)
  return 1 - left ** 3
}
