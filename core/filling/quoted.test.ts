import { describe, expect, it } from 'vitest'
import { DEMO_GRADES } from '../demo/index.ts'
import { foamWords, quotedForceOf, quotedForceWords, stackForceWords } from './index.ts'

const gannet = DEMO_GRADES.find((g) => g.name === 'Gannet 36/180')!

describe('how the trade speaks of a foam', () => {
  it('newtons at 40 % beside millimetres, pounds at 25 % beside inches', () => {
    const lb36 = { ...gannet, at25N: 36 * 4.448222, at40N: null }
    expect(quotedForceWords(gannet, 'mm')).toBe('180 N at 40 %')
    expect(quotedForceWords(lb36, 'inch-8')).toBe('36 lbf at 25 %')
    expect(quotedForceOf(lb36, 'inch-16')).toBe(36)
    expect(foamWords(gannet, 'cm')).toBe('36 kg/m³, 180 N at 40 %')
    // 36 / 16.018 = 2.25.
    expect(foamWords(lb36, 'inch-8')).toBe('2.25 lb/ft³, 36 lbf at 25 %')
  })

  it('a block of one grade is as firm as the grade', () => {
    for (const unit of ['mm', 'inch-8'] as const)
      expect(stackForceWords([{ grade: gannet, thicknessMm: 80 }], unit)).toBe(quotedForceWords(gannet, unit))
  })

  it('nothing where nobody knows', () => {
    const unknown = { ...gannet, at25N: null, at40N: null, densityKgM3: null }
    expect(quotedForceOf(unknown, 'mm')).toBeNull()
    expect(stackForceWords([{ grade: unknown, thicknessMm: 80 }], 'mm')).toBeNull()
    expect(foamWords(unknown, 'inch-8')).toBe('')
  })
})
