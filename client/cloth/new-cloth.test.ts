import { describe, expect, it } from 'vitest'
import { Cloth } from '../../contract/index.ts'
import { clothFaults } from '../../core/cloth/index.ts'
import { newCloth, startPattern, startSupply } from './new-cloth.ts'

const named = (change: Partial<Cloth> = {}) => ({ ...newCloth('mm'), name: 'Petrel canvas', ...change })

describe('a cloth as its entry starts', () => {
  it('lacks nothing but its name', () => {
    expect(Cloth.safeParse(newCloth('mm')).error?.issues.map((i) => i.path.join('.'))).toEqual(['name'])
    expect(clothFaults(Cloth.parse(named()))).toEqual([])
  })

  it.each(['plain', 'stripes', 'check', 'motif'] as const)('starts %s soundly', (kind) => {
    expect(clothFaults(Cloth.parse(named({ pattern: startPattern(kind) })))).toEqual([])
  })

  it.each(['to-buy', 'length', 'remnant'] as const)('comes %s soundly, as wide as the cloth', (kind) => {
    const supply = startSupply(kind, 1180)
    expect(clothFaults(Cloth.parse(named({ widthMm: 1180, supply })))).toEqual([])
    if (supply.kind === 'remnant') expect(Math.max(...supply.outline.map(([x]) => x))).toBe(1180)
  })
})
