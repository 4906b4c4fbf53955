import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Job } from '../../contract/index.ts'
import { setRecord, ticked } from '../making/index.ts'
import { keepersBenchPart } from '../demo/index.ts'
import { jobOf, mergeDocuments, setAllowance } from './index.ts'

const base = keepersBenchPart()
const tick = (id: string, by: string) => setRecord({ id, title: id }, 'done', (r) => ticked(r, by, 0))

describe('two makers on one job', () => {
  it('tick different steps, and change an allowance: nothing is lost', () => {
    const mine = setAllowance('seamMm', 15, '').apply(tick('foam.cut', 'Ada').apply(base))
    const theirs = { ...tick('cloth.cut', 'Ben').apply(base), title: 'Bench of the keepers' }
    const { value, clashes } = mergeDocuments(base, mine, theirs)
    expect(clashes).toEqual([])
    expect([Object.keys(value.making.steps).toSorted(), value.allowances.overrides, value.title]).toEqual([
      ['cloth.cut', 'foam.cut'],
      { seamMm: 15 },
      'Bench of the keepers',
    ])
    expect(Job.safeParse(jobOf(value)).success).toBe(true)
  })

  it('tick the same step: the first tick stays, and it is told', () => {
    const { value, clashes } = mergeDocuments(
      base,
      tick('foam.cut', 'Ada').apply(base),
      tick('foam.cut', 'Ben').apply(base),
    )
    expect(value.making.steps['foam.cut']!.doneBy).toBe('Ben')
    expect(clashes).toEqual(['making.steps.foam.cut.doneBy'])
  })

  it('choose different make-ups: one is taken whole, never a mixture', () => {
    const make = (kind: 'knife-edge' | 'capped') => ({
      ...base,
      makeUp: {
        ...base.makeUp,
        construction:
          kind === 'capped' ? { kind, school: 'full-depth' as const } : { kind, corners: { kind: 'ears' as const } },
      },
    })
    const { value, clashes } = mergeDocuments(base, make('knife-edge'), make('capped'))
    expect(value.makeUp.construction).toEqual({ kind: 'capped', school: 'full-depth' })
    expect(clashes).toEqual(['makeUp.construction'])
  })

  it('what one takes out and the other leaves is out', () => {
    const both = tick('cloth.cut', 'Ada').apply(tick('foam.cut', 'Ada').apply(base))
    const { 'foam.cut': _, ...rest } = both.making.steps
    expect(
      mergeDocuments(both, { ...both, making: { ...both.making, steps: rest } }, { ...both, note: 'x' }).value,
    ).toEqual({ ...both, note: 'x', making: { ...both.making, steps: rest } })
  })
})

const tree = fc.letrec<{ node: unknown }>((tie) => ({
  node: fc.oneof(
    { maxDepth: 3 },
    fc.integer({ min: 0, max: 3 }),
    fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 3 }),
    fc.dictionary(fc.constantFrom('a', 'b', 'c'), tie('node'), { maxKeys: 3 }),
  ),
})).node

it('with one side unchanged, any document becomes the other side; two equal changes are no clash', () => {
  fc.assert(
    fc.property(tree, tree, (a, b) => {
      expect(mergeDocuments(a, a, b)).toEqual({ value: b, clashes: [] })
      expect(mergeDocuments(a, b, a)).toEqual({ value: b, clashes: [] })
      expect(mergeDocuments(a, b, b)).toEqual({ value: b, clashes: [] })
    }),
  )
})
