import { describe, expect, it } from 'vitest'
import { Cloth, Grade } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../../core/demo/index.ts'
import { clothInInches, gradeInInches } from './examples.ts'

const wholeIn = (mm: number, parts: number) =>
  expect((mm / 25.4) * parts).toBeCloseTo(Math.round((mm / 25.4) * parts), 9)

describe('example materials of a shop that measures in inches', () => {
  it.each(DEMO_GRADES.map((g) => [g.name, g] as const))(
    '%s is sold in half inches, its sheets in whole ones',
    (_, g) => {
      const grade = gradeInInches(g)
      expect(Grade.safeParse(grade).success).toBe(true)
      grade.thicknessesMm.forEach((mm) => wholeIn(mm, 2))
      grade.sheets.forEach((s) => [s.lengthMm, s.widthMm].forEach((mm) => wholeIn(mm, 1)))
      grade.thicknessesMm.forEach((mm, i) => expect(mm).toBeGreaterThan(grade.thicknessesMm[i - 1] ?? 0))
    },
  )

  it.each(DEMO_CLOTHS.map((c) => [c.name, c] as const))('%s is as wide as before, to half an inch', (_, c) => {
    const cloth = clothInInches(c)
    expect(Cloth.safeParse(cloth).success).toBe(true)
    wholeIn(cloth.widthMm, 1)
    expect(Math.abs(cloth.widthMm - c.widthMm)).toBeLessThanOrEqual(12.7)
    // Eight steps are a yard.
    expect(cloth.buyingStepMm * 8).toBeCloseTo(914.4, 6)
  })
})
