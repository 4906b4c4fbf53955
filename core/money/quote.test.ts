import { firstPart, jobOf, startPart } from '../job/index.ts'
import { describe, expect, it } from 'vitest'
import type { Charges, Job, PartJob } from '../../contract/index.ts'
import { buyingList } from '../lists/index.ts'
import { workOrder } from '../making/index.ts'
import { DEMO_CLOTHS, DEMO_TRIMS, demoJobs } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { worked, mediumBenchPart } from '../testing/jobs.ts'
import { sayWorking } from '../working/index.ts'
import { alternatives, chargesOf, quoteDoubtWords, quoteFor } from './index.ts'

const LAID = [{ laidMm: 3249, boundMm: 3249 }]
const charges: Charges = {
  hourRate: 38,
  markUpShare: 0.25,
  wasteShare: 0.05,
  taxShare: 0.2,
  depositShare: 0.5,
  roundTo: 0.5,
}
const job = mediumBenchPart()
function quote(
  change: (j: PartJob) => PartJob = (j) => j,
  by: Charges = charges,
  trims = DEMO_TRIMS,
  lengths: Parameters<typeof buyingList>[2] = LAID,
) {
  const own = change(job)
  const plan = worked(own)
  return quoteFor(own, buyingList(own, plan, lengths, trims), workOrder(jobOf(own), plan), USUAL_WORKSHOP.rates, by)
}

describe('the quote of the keepers bench', () => {
  const q = quote()
  const cost = (what: RegExp) => q.lines.find((l) => what.test(l.what))!.cost.value

  it('has the materials worked out by hand', () => {
    // 3249 laid is 3300 bought, at 34 a metre.
    expect(cost(/Lamp-room/)).toBeCloseTo(3.3 * 34, 2)
    // Three zips of 980.67, at 1.10 a metre, and 5 % for ends; three sliders.
    expect(cost(/^Zip/)).toBeCloseTo(3 * 0.98067 * 1.1 * 1.05, 2)
    expect(cost(/^Sliders/)).toBeCloseTo(3 * 0.35 * 1.05, 4)
    // Cord: six loops of 2489.33 and 2 %.
    expect(cost(/^Piping cord/)).toBeCloseTo(6 * 2.48933 * 1.02 * 0.28 * 1.05, 2)
    // Rows of one cushion: the zip along both its tapes, four joins of 75, both plates at 2429.33, and each of their
    // two loops of piping basted first. Thread: three times them and a tenth.
    const rowsM = 2 * 0.98067 + 4 * 0.075 + 4 * 2.42933
    expect(cost(/^Thread/)).toBeCloseTo(3 * 3 * rowsM * 1.1 * 0.008 * 1.05, 4)
  })

  it('adds up to the cent', () => {
    const sum = (...parts: string[]) =>
      q.lines.filter((l) => parts.includes(l.part)).reduce((s, l) => s + l.cost.value, 0)
    expect(q.materials.value).toBeCloseTo(sum('foam', 'cloth', 'trims'), 6)
    expect(q.work.value).toBeCloseTo((460.9 / 60) * 38, 0)
    expect(q.net.value).toBeCloseTo(q.materials.value * 1.25 + q.work.value, 6)
    expect(q.total.value).toBeCloseTo(Math.ceil((q.net.value * 1.2) / 0.5) * 0.5, 6)
    expect(q.deposit.value).toBeCloseTo(Math.ceil(q.total.value) * 0.5, 6)
    expect(sayWorking(q.markUp, 'mm')).toBe(`${q.materials.value.toFixed(2)} × 25 % = ${q.markUp.value.toFixed(2)}`)
    expect(q.doubts).toEqual([])
  })

  it('with round figures, tax and rounding, is what a pocket calculator says', () => {
    // No trims, no mark-up, no work: cloth 3.3 m x 34 = 112.20 and the foam; a discount makes it 200.00 net; 21 % tax
    // is 242.00, up to the next 5: 245.
    const foam = q.lines.find((l) => l.part === 'foam')!.cost.value
    const bare = quote(
      (j) => ({ ...j, terms: { ...j.terms, extras: [{ what: 'Discount', amount: 200 - 112.2 - foam }] } }),
      { hourRate: 0, markUpShare: 0, wasteShare: 0, taxShare: 0.21, depositShare: 0.3, roundTo: 5 },
      [],
    )
    expect(
      [bare.net.value, bare.tax.value, bare.total.value, bare.deposit.value].map((v) => Number(v.toFixed(2))),
    ).toEqual([200, 42, 245, 75])
  })

  it('a job charges otherwise than the shop', () => {
    const own = { ...job, terms: { ...job.terms, charges: { hourRate: 60 } } }
    expect(chargesOf(charges, own)).toEqual({ ...charges, hourRate: 60 })
    expect(quote(undefined, chargesOf(charges, own)).work.value / q.work.value).toBeCloseTo(60 / 38, 6)
  })

  it('tells what an hour earns, and the margin', () => {
    expect(q.earns!.value).toBeCloseTo(((q.net.value - q.materials.value) / q.hours.value) * 60, 6)
    expect(q.margin.value).toBeCloseTo(1 - q.materials.value / q.net.value, 9)
  })
})

describe('doubts of a quote', () => {
  it.each<[string, ReturnType<typeof quote>, RegExp]>([
    ['no lay', quote(undefined, charges, DEMO_TRIMS, [{ laidMm: null, boundMm: 2500 }]), /not laid yet/],
    ['no prices', quote(undefined, charges, []), /Without a price: Zip.*Thread/],
    [
      'a discount beyond the work',
      quote((j) => ({ ...j, terms: { ...j.terms, extras: [{ what: 'Discount', amount: -2000 }] } })),
      /less than the materials/,
    ],
  ])('%s', (_name, q, says) => expect(q.doubts.map((d) => quoteDoubtWords(d).says).join(' ')).toMatch(says))

  it('what lies in the shop already wants no price, in whatever words its line is', () => {
    const inHand = (j: PartJob): PartJob => ({
      ...j,
      cloth: { ...j.cloth, cloth: { ...j.cloth.cloth, supply: { kind: 'length', lengthMm: 9000 } } },
    })
    const unlaid = quote(inHand, charges, DEMO_TRIMS, [{ laidMm: null, boundMm: 2500 }])
    expect(unlaid.doubts.map((d) => d.code)).toEqual(['no-lay'])
    expect(quote(inHand).doubts).toEqual([])
  })

  it('what has no price is named once, of several lengths too', () => {
    const set = demoJobs().find((j) => j.parts.length > 1)!
    const plan = planJob(set) as WorkedPlan
    const lengths = plan.cloth.lays.map(() => ({ laidMm: 5000, boundMm: 5000 }))
    const q = quoteFor(set, buyingList(set, plan, lengths, []), workOrder(set, plan), USUAL_WORKSHOP.rates, charges)
    const named = q.doubts.flatMap((d) => (d.code === 'no-price' ? d.what : []))
    const zips = buyingList(set, plan, lengths, []).lines.filter(
      (l) => l.what === named.find((n) => n.startsWith('Zip')),
    )
    expect(zips.length).toBeGreaterThan(1)
    expect(named).toEqual([...new Set(named)])
  })

  it('no hours', () => {
    const plan = worked(job)
    const q = quoteFor(job, buyingList(job, plan, LAID, DEMO_TRIMS), [], USUAL_WORKSHOP.rates, charges)
    expect(q.doubts.map((d) => d.code)).toEqual(['no-hours'])
    expect([q.work.value, q.earns]).toEqual([0, null])
  })
})

describe('alternatives', () => {
  it('are the job as it is, unpiped, unmatched, and from other cloths', () => {
    const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
    const all = alternatives(jobOf(job), [job.cloth.cloth, calico])
    expect(all.map((a) => a.says)).toEqual([
      'as it is, Lamp-room ticking',
      'without piping',
      'stripes not matched',
      'from House calico',
    ])
    expect(all.every((a) => worked(firstPart(a.job)).kind === 'worked')).toBe(true)
    expect(quote(() => firstPart(all[1]!.job)).total.value).toBeLessThan(quote().total.value)
  })

  it('of a set are also each without one part; what is so already is not offered', () => {
    const set = startPart(jobOf(job), 'A', 'backs')
    const bare: Job = {
      ...set,
      parts: set.parts.map((p) => ({
        ...p,
        makeUp: { ...p.makeUp, piping: { kind: 'none' } },
        cloth: { ...p.cloth, match: { kind: 'none' } },
      })),
    }
    const says = (j: Job) => alternatives(j, []).map((a) => a.says)
    expect(says(bare)).toEqual(['as it is, Lamp-room ticking', 'without seats', 'without backs'])
    expect(alternatives(bare, [])[1]!.job.parts.map((p) => p.name)).toEqual(['Backs'])
    // One part that is piped and matched is enough to ask what it costs.
    const half: Job = { ...bare, parts: bare.parts.map((p, i) => (i === 0 ? set.parts[0]! : p)) }
    expect(says(half)).toEqual([
      'as it is, Lamp-room ticking',
      'without piping',
      'stripes not matched',
      'without seats',
      'without backs',
    ])
  })
})
