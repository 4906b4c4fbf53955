import { describe, expect, it } from 'vitest'
import { N_PER_LBF } from '../../units/index.ts'
import type { FoamFamily, Grade, Use } from '../../../contract/index.ts'
import { loadCaseOf, supportOf, USUAL_LOAD, type Standing } from './index.ts'

/** A foam as its supplier says it: pounds at 25 %, and its support factor. */
const foam = (pounds: number, supportFactor: number, family: FoamFamily = 'conventional'): Grade => ({
  id: 'norm',
  name: `${pounds} lb`,
  family,
  said: '',
  densityKgM3: 35,
  at25N: pounds * N_PER_LBF,
  at40N: null,
  at65N: null,
  supportFactor,
  exposures: ['indoors'],
  combustionModified: false,
  ageing: null,
  sheets: [],
  thicknessesMm: [25],
  pricePerM3: 1,
})
const heavyOn = (use: Use, thicknessMm: number, grade: Grade) =>
  supportOf([{ grade, thicknessMm }], loadCaseOf({ ...USUAL_LOAD, use })).fresh

/** What makers say of foams on a solid board under 50 to 100 kg: mm, pounds, support factor. */
const NORMS: readonly (readonly [Use, number, number, number, FoamFamily, readonly Standing[]])[] = [
  ['dining', 25, 25, 2.2, 'conventional', ['on-board']],
  ['dining', 50, 24, 2.0, 'conventional', ['on-board']],
  ['dining', 50, 50, 2.2, 'conventional', ['clear', 'near']],
  ['bench', 50, 35, 2.2, 'conventional', ['on-board']],
  ['bench', 75, 36, 2.2, 'conventional', ['clear', 'near']],
  ['bench', 75, 45, 2.2, 'conventional', ['clear']],
  ['bench', 100, 36, 2.2, 'conventional', ['clear']],
  ['lounge', 125, 33, 2.6, 'high-resilience', ['clear']],
  ['lounge', 150, 28, 2.6, 'high-resilience', ['clear']],
  ['lounge', 150, 18, 2.0, 'conventional', ['on-board']],
  ['cockpit', 75, 50, 2.0, 'quick-dry', ['near']],
  ['cockpit', 100, 50, 2.0, 'quick-dry', ['clear', 'near']],
  ['cockpit', 50, 35, 2.2, 'conventional', ['on-board']],
  ['back', 75, 18, 2.0, 'conventional', ['clear']],
  ['back', 50, 18, 2.0, 'conventional', ['near']],
  ['sleeping', 50, 36, 2.2, 'conventional', ['on-board']],
  ['sleeping', 75, 30, 2.2, 'conventional', ['near']],
  ['sleeping', 100, 24, 2.0, 'conventional', ['near']],
  ['sleeping', 100, 36, 2.2, 'conventional', ['clear']],
  ['sleeping', 125, 33, 2.2, 'conventional', ['clear']],
  ['kneeler', 50, 36, 2.2, 'conventional', ['on-board']],
]

describe('what makers say of foams', () => {
  it.each(NORMS)('%s %d mm of %d lb, factor %d: %s, %s', (use, mm, pounds, factor, family, wanted) => {
    const { worst, standing } = heavyOn(use, mm, foam(pounds, factor, family))
    expect(wanted, `strain ${worst.strain.toFixed(3)}`).toContain(standing)
  })

  it('25 mm on a dining seat is on the board even under the lightest', () =>
    expect(heavyOn('dining', 25, foam(25, 2.2)).sinks[0].strain).toBeGreaterThan(0.78))

  it('rebonded chip of 350 N at 40 %, 70 mm, carries a kneeler', () => {
    const rebond: Grade = { ...foam(1, 1), family: 'rebond', at25N: null, at40N: 350, supportFactor: null }
    expect(['clear', 'near']).toContain(heavyOn('kneeler', 70, rebond).standing)
  })

  // Comfort follows from the rows that are clear: none of them is soft or firm.
  it.each(NORMS.filter(([, , , , , wanted]) => wanted.join() === 'clear'))(
    '%s %d mm of %d lb feels right to the middle sitter',
    (use, mm, pounds, factor, family) => {
      const { demands } = loadCaseOf({ ...USUAL_LOAD, use })
      const { strain } = heavyOn(use, mm, foam(pounds, factor, family)).sinks[1]
      expect(strain).toBeGreaterThan(demands.leastCompression)
      expect(strain).toBeLessThan(demands.mostCompression)
    },
  )
})

describe('75 kg on a seat, by hand: HR foam of 156 N at 25 %, factor 2.6', () => {
  // 75 x 9.81 x 0.75 = 551.8 N on a ball of 500 mm; depth, contact and peak as worked out for each thickness.
  it.each([
    [40, 0.75, 10, 0.091, 15.5],
    [60, 0.62, 23, 0.112, 9.3],
    [80, 0.53, 37, 0.128, 7.5],
    [100, 0.47, 53, 0.14, 6.7],
    [150, 0.37, 94, 0.165, 5.6],
  ])('%d mm: strain %d, %d mm left, %d m² in touch, %d kPa', (mm, strain, leftMm, m2, kPa) => {
    const grade = { ...foam(1, 2.6, 'high-resilience'), at25N: 156 }
    const sink = supportOf([{ grade, thicknessMm: mm }], loadCaseOf(USUAL_LOAD)).fresh.sinks[1]
    expect(Math.abs(sink.leftMm - leftMm)).toBeLessThan(1)
    expect(Math.abs(sink.contactM2 / m2 - 1)).toBeLessThan(0.02)
    expect(Math.abs(sink.peakPa / 1000 / kPa - 1)).toBeLessThan(0.02)
    expect(Math.abs(sink.strain / strain - 1)).toBeLessThan(0.02)
  })
})
