import { phrase } from '../../../../core/language/index.ts'
import type { FoamTest, Grade, OldBody } from '../../../../contract/index.ts'
import { estimateFoam, FAMILIES, gradeFromTest } from '../../../../core/filling/index.ts'

/** A body of which only a thickness is known yet. */
export const freshBody = (others: readonly OldBody[], thicknessMm: number): OldBody => ({
  id: firstFree(others),
  name: others.length === 0 ? 'Old filling' : phrase`Old filling ${others.length + 1}`,
  count: 1,
  found: { widthMm: null, depthMm: null, thicknessMm: Math.max(1, Math.round(thicknessMm)) },
  recovered: null,
  newMm: null,
  said: '',
  crumbles: false,
  smells: false,
  cutOuts: '',
  topFace: '',
  test: null,
  use: 'replace',
})

function firstFree(others: readonly OldBody[]): string {
  let n = 1
  while (others.some((b) => b.id === `old-${n}`)) n++
  return `old-${n}`
}

/** What a body was found to be by its own test; null until it was pressed. */
export function testedGradeOf(test: FoamTest | null, name: string, grades: readonly Grade[]): Grade | null {
  const found = test && estimateFoam(test, grades)
  return test && found && typeof found !== 'string' ? gradeFromTest(test, found, name, 'as-tested') : null
}

/** A foam of which nobody knows more than how it looks and what was said of it. */
export const unknownGrade = ({ name, said }: Pick<OldBody, 'name' | 'said'>, thicknessMm: number): Grade => ({
  id: 'unknown',
  name: name || 'Old foam',
  said,
  family: 'conventional',
  densityKgM3: null,
  at25N: null,
  at40N: null,
  at65N: null,
  supportFactor: null,
  exposures: [...FAMILIES.conventional.exposures],
  combustionModified: false,
  ageing: null,
  sheets: [],
  thicknessesMm: [thicknessMm],
  pricePerM3: 0,
})
