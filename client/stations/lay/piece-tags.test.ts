import { describe, expect, it } from 'vitest'
import { tagFor } from './piece-tags.ts'

describe('a tag on a piece of the lay', () => {
  it('says all it can: level, else upright, else smaller, else the number alone, else nothing', () => {
    const labels = ['12 front', '12']
    // 8 letters of 13 px take 8 x 13 x 0.53 + 6 = 61.1.
    expect(tagFor(62, 17, labels)).toMatchObject({ words: '12 front', size: 13, isUpright: false })
    expect(tagFor(17, 62, labels)).toMatchObject({ words: '12 front', size: 13, isUpright: true })
    expect(tagFor(60, 17, labels)).toMatchObject({ words: '12 front', size: 11 })
    expect(tagFor(30, 17, labels)).toMatchObject({ words: '12', size: 13, isUpright: false })
    expect(tagFor(30, 12, labels)).toMatchObject({ words: '12', size: 9 })
    expect(tagFor(30, 8, labels)).toBeNull()
    expect(tagFor(300, 300, [])).toBeNull()
  })
})
