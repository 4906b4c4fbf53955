import { phrase } from '../../../core/language/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import type { LayFault } from '../../../core/lay/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../../core/units/index.ts'

/** What is wrong with a lay changed by hand, and what would mend it. */
export function faultWords(fault: LayFault, plan: ClothLay, unit: LengthUnit): string {
  const mm = (v: number) => formatLengthWithUnit(v, unit)
  const name = (piece: string) => plan.pieces.find((p) => p.id === piece.replace(/ \(\d+\)$/, ''))?.name ?? piece
  switch (fault.code) {
    case 'overlap':
      return phrase`${name(fault.piece)} lies over ${name(fault.other)}: drag one of them away.`
    case 'too-close':
      return phrase`${name(fault.piece)} is too near to ${name(fault.other)}.`
    case 'off-cloth':
      return phrase`${name(fault.piece)} runs ${mm(fault.over)} off the usable cloth.`
    case 'on-flaw':
      return phrase`${name(fault.piece)} covers flaw ${fault.flaw + 1}.`
    case 'out-of-phase':
      return phrase`${name(fault.piece)} is ${mm(Math.abs(fault.off))} off its pattern ${fault.axis} the roll: drag it, and it finds its place.`
    case 'not-at-side':
      return phrase`${name(fault.piece)} lies ${mm(fault.off)} off the side of the cloth that makes its edge: drag it there.`
    case 'turn-not-allowed':
      return phrase`${name(fault.piece)} lies the wrong way for this cloth: turn it with R.`
    case 'unknown-piece':
    case 'wrong-count':
      return phrase`${name(fault.piece)} is not as often on the cloth as it is wanted: go back to the planner's lay.`
    case 'wrong-length':
      return phrase`The length should read ${mm(fault.real)}.`
    default:
      return fault satisfies never
  }
}
