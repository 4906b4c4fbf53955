import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, Seat } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../../core/demo/index.ts'
import { readTyped } from '../../core/typing/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { typedExamples } from './typed-examples.ts'

const UNITS = ['mm', 'cm', 'inch-8', 'inch-16'] as const

describe('the lines that a new shop is offered', () => {
  it.each(UNITS.flatMap((units) => typedExamples(units).map((line) => [units, line] as const)))(
    'in %s: %s begins a seat of a sensible size',
    (units: LengthUnit, line) => {
      const read = readTyped(line, {
        job: null,
        whole: null,
        units,
        grades: DEMO_GRADES,
        cloths: DEMO_CLOTHS,
        limits: JOB_LIMITS,
        today: '2026-11-30',
      })
      expect(read.ok && read.value.kind).toBe('seat')
      if (!read.ok || read.value.kind !== 'seat') return
      expect(Seat.safeParse(read.value.seat).success).toBe(true)
      const thicknessMm = Math.max(...read.value.seat.thickness.readings.map((r) => r.mm))
      expect(thicknessMm).toBeGreaterThan(55)
      expect(thicknessMm).toBeLessThan(230)
    },
  )
})
