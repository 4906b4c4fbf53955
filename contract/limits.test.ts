import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import {
  Closure,
  Cloth,
  Grade,
  limits,
  limitsOfKind,
  Part,
  Pattern,
  StepRecord,
  textLimits,
  TiePlace,
} from './index.ts'

/** By trying: the end itself is taken, a hair beyond it is not. */
function isEnd(schema: z.ZodType, end: number, beyond: number): boolean {
  return schema.safeParse(end).success && !schema.safeParse(end + beyond).success
}

describe('what a field takes is read from its schema', () => {
  it('finds both ends of a number, whatever it is wrapped in', () => {
    for (const schema of [Cloth.shape.massGM2, Grade.shape.densityKgM3, Grade.shape.supportFactor]) {
      const { min, max } = limits(schema)
      expect(isEnd(schema, min!, -0.001)).toBe(true)
      expect(isEnd(schema, max, 0.001)).toBe(true)
    }
    expect(limits(z.int().min(2).max(6).nullable().optional())).toEqual({ min: 2, max: 6 })
    expect(limits(z.number().min(-1).max(1).default(0))).toEqual({ min: -1, max: 1 })
  })

  it('has no least where the number must be more than nought', () => {
    expect(limits(Cloth.shape.widthMm)).toEqual({ max: 5000 })
    expect(Cloth.shape.widthMm.safeParse(0).success).toBe(false)
  })

  it('finds a field of one kind, by whatever name the kinds are told apart', () => {
    expect(limitsOfKind(Closure, 'snaps', 'spacingMm')).toEqual({ min: 20, max: 400 })
    expect(limitsOfKind(Pattern, 'motif', 'acrossMm')).toEqual({ max: 3000 })
    expect(limitsOfKind(TiePlace, 'underside', 'rows')).toEqual({ min: 1, max: 6 })
  })

  it('finds how long a text may be, whatever it is wrapped in', () => {
    for (const schema of [Cloth.shape.name, Grade.shape.said, Part.shape.name, StepRecord.shape.overruled]) {
      const { maxlength } = textLimits(schema)
      expect(schema.safeParse('x'.repeat(maxlength)).success).toBe(true)
      expect(schema.safeParse('x'.repeat(maxlength + 1)).success).toBe(false)
    }
  })

  it('refuses what has none', () => {
    expect(() => textLimits(z.string())).toThrow('an end')
    expect(() => textLimits(z.number())).toThrow('an end')
    expect(() => limits(z.string())).toThrow('both ends')
    expect(() => limits(z.number().min(0))).toThrow('both ends')
    expect(() => limits(z.number().gt(3).max(9))).toThrow('nought')
  })
})
