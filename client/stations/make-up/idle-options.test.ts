import { describe, expect, it } from 'vitest'
import type { ClothChoice, Closure, Construction, Job, MakeUp } from '../../../contract/index.ts'
import { CLOSURES, CONSTRUCTIONS, MAKE_UPS, usualMakeUp } from '../../../core/cover/index.ts'
import { jobOf, newSeat } from '../../../core/job/index.ts'
import { planDocument } from '../../../core/plan/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../../../core/demo/index.ts'
import { closureOptions } from './closure-options.ts'
import { constructionOptions } from './construction-options.ts'
import type { Option } from './option.ts'

/** A cushion that every make-up can take, in plain cloth; a roll for the bolster. */
const madeUp = (makeUp: MakeUp): Job => {
  const isRoll =
    makeUp.construction.kind === 'bolster' ||
    (makeUp.construction.kind === 'liner' && makeUp.construction.of === 'bolster')
  const job = keepersBenchPart()
  return jobOf({
    ...job,
    seat: { ...newSeat('singles', 620, isRoll ? 190 : 480, isRoll ? 190 : 120, 1), clearanceMm: 0 },
    makeUp,
    cloth: { ...job.cloth, match: { kind: 'none' } },
  })
}
const planned = (makeUp: MakeUp): string => JSON.stringify(planDocument(madeUp(makeUp), planJob(madeUp(makeUp)), []))

/** What a control may be turned to. */
const others = (o: Option): readonly unknown[] =>
  o.kind === 'length'
    ? [o.value + 5, o.value * 1.5, o.value / 2]
        .filter((v) => v >= (o.limits.min ?? 1) && v <= o.limits.max)
        .map(o.write)
    : o.choices.filter((c) => c.value !== o.value).map((c) => o.read(c.value))

/** Controls that are shown and change nothing, whatever they are turned to. */
function idle(makeUp: MakeUp): string[] {
  const before = planned(makeUp)
  const turn = (of: 'construction' | 'closure', options: readonly Option[]) =>
    options.flatMap((o) => {
      const changed = others(o).filter(
        (value) => planned({ ...makeUp, [of]: { ...makeUp[of], [o.key]: value } }) !== before,
      )
      return changed.length > 0 ? [] : [`${makeUp.construction.kind}, ${makeUp.closure.kind}: ${of}.${o.key}`]
    })
  return [...turn('construction', constructionOptions(makeUp)), ...turn('closure', closureOptions(makeUp))]
}

describe('every control that is shown changes the plan', () => {
  it.each(CONSTRUCTIONS.flatMap((kind) => MAKE_UPS[kind].closures.map((closure) => [kind, closure] as const)))(
    '%s, closed by %s',
    (kind: Construction['kind'], closure: Closure['kind']) => {
      const makeUp = { ...usualMakeUp(kind), closure: CLOSURES[closure].usual }
      expect(idle(makeUp)).toEqual([])
    },
  )
})

describe('at an end that opens, over one edge or two', () => {
  it.each(
    (['boxed', 'wrapped-tube'] as const).flatMap((kind) =>
      (['left', 'right'] as const).flatMap((side) =>
        [false, true].map((overTwoEdges) => [kind, side, overTwoEdges] as const),
      ),
    ),
  )('%s, %s, %s: every control changes the plan', (kind, side, overTwoEdges) => {
    const closure = { ...CLOSURES['zip-seam'].usual, side, overTwoEdges, startMm: 20 }
    expect(idle({ ...usualMakeUp(kind), closure })).toEqual([])
  })
})

describe('ties, piping and cloth', () => {
  const ties = { finishedMm: 15, lengthMm: 200, way: 'folded' as const, caught: 'at-the-middle' as const }
  /** A roll has no side to be tied at, a wrap without seams nothing to catch a tie. */
  const TIED = CONSTRUCTIONS.filter(
    (kind) => kind !== 'bolster' && kind !== 'no-sew-wrap' && kind !== 'pull-over' && kind !== 'liner',
  )

  it.each(TIED)('%s: each tie is marked once, and moves with its side', (kind) => {
    const marked = (side: 'front' | 'back' | 'left' | 'right') => {
      const job = madeUp({
        ...usualMakeUp(kind),
        trims: {
          ...usualMakeUp(kind).trims,
          ties: { ...ties, places: [{ at: 'edge' as const, row: 'foot' as const, side, count: 3 }] },
        },
      })
      const plan = planJob(job)
      return plan.kind === 'worked'
        ? plan.designs[0]!.cover.panels.flatMap((p) =>
            p.marks
              .filter((m) => m.kind === 'tie')
              .map((m) => `${p.id} ${m.path[0]!.x.toFixed(1)} ${m.path[0]!.y.toFixed(1)}`),
          )
        : []
    }
    const all = (['front', 'right', 'back', 'left'] as const).map(marked)
    for (const marks of all) expect(marks).toHaveLength(3)
    expect(new Set(all.flat()).size).toBe(12)
  })

  it('every way of placing the pattern changes the pieces to be laid', () => {
    const base = keepersBenchPart()
    const check = DEMO_CLOTHS.find((c) => c.id === 'tern-check')!
    const laid = (change: Partial<ClothChoice>) => {
      const plan = planJob(jobOf({ ...base, cloth: { ...base.cloth, cloth: check, ...change } }))
      return plan.kind === 'worked' ? JSON.stringify(plan.cloth.lays.map((l) => l.problem)) : ''
    }
    const rule = (kind: 'band-on-centre' | 'band-on-each-centre' | 'band-at-left-end', band = 0) => ({
      match: { kind: 'matched' as const, rule: { kind, band } },
    })
    const ways: Partial<ClothChoice>[] = [
      { match: { kind: 'none' } },
      rule('band-on-centre'),
      rule('band-on-centre', 1),
      rule('band-on-each-centre'),
      rule('band-at-left-end'),
      { ...rule('band-on-centre'), alongRule: 'centred' },
      { ...rule('band-on-centre'), alongRule: { kind: 'band-on-middle', band: 1 } },
      { ...rule('band-on-centre'), alongRule: { kind: 'band-from-front', band: 0, fromMm: 33 } },
      { ...rule('band-on-centre'), pairs: 'same' },
      { ...rule('band-on-centre'), direction: 'railroaded' },
      { ...rule('band-on-centre'), strips: { kind: 'even', moreJoins: 2 } },
    ]
    expect(new Set(ways.map(laid)).size).toBe(ways.length)
  })
})
