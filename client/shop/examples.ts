import type { Cloth, Grade } from '../../contract/index.ts'
import { EIGHTH_OF_A_YARD_MM, isInch, MM_PER_INCH, type LengthUnit } from '../../core/units/index.ts'
import type { useShop } from '../stores/shop.ts'

/** Puts made-up foam, cloth and trims on the empty shelves of a new shop, in the sizes of its trade; none in stock. */
export async function layInExamples(shop: ReturnType<typeof useShop>, unit: LengthUnit): Promise<void> {
  const { DEMO_CLOTHS, DEMO_GRADES, DEMO_TRIMS } = await import('../../core/demo/index.ts')
  const inInches = isInch(unit)
  const cloths = DEMO_CLOTHS.filter((c) => c.supply.kind === 'to-buy')
  await shop.keepGrades(inInches ? DEMO_GRADES.map(gradeInInches) : DEMO_GRADES)
  await shop.keepCloths(inInches ? cloths.map(clothInInches) : cloths)
  await shop.keepTrims(DEMO_TRIMS.map((trim) => ({ ...trim, inHand: 0, reorderAt: 0 })))
}

/** Sheets to the next four inches, thicknesses to the next half inch. */
export const gradeInInches = (grade: Grade): Grade => ({
  ...grade,
  sheets: grade.sheets.map((s) => ({ lengthMm: nearest(s.lengthMm, 4), widthMm: nearest(s.widthMm, 4) })),
  thicknessesMm: [...new Set(grade.thicknessesMm.map((mm) => Math.max(nearest(mm, 0.5), 0.5 * MM_PER_INCH)))],
})

/** Widths to the next inch, sold by the eighth of a yard; repeats stay, since bands are what a loom wove. */
export const clothInInches = (cloth: Cloth): Cloth => ({
  ...cloth,
  widthMm: nearest(cloth.widthMm, 1),
  buyingStepMm: EIGHTH_OF_A_YARD_MM,
})

const nearest = (mm: number, inches: number): number => Math.round(mm / (inches * MM_PER_INCH)) * inches * MM_PER_INCH
