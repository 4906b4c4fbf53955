import { describe, expect, it } from 'vitest'
import { Closure, Construction } from '../../../contract/index.ts'
import { CLOSURES, MAKE_UPS } from '../../../core/cover/index.ts'
import { closureOptions } from './closure-options.ts'
import { constructionOptions } from './construction-options.ts'
import type { Option } from './option.ts'

/** Every value that the page lets a maker choose of an option. */
const values = (o: Option): readonly unknown[] =>
  o.kind === 'length' ? [o.limits.min ?? 1, o.value, o.limits.max].map(o.write) : o.choices.map((c) => o.read(c.value))
const constructions = Object.values(MAKE_UPS).map(({ usual }) => [usual.kind, usual] as const)
const closures = Object.values(CLOSURES).map(({ usual }) => [usual.kind, usual] as const)

describe('what the page offers of a make-up or a closure', () => {
  it.each(constructions)('%s: a job file can hold every choice', (_kind, usual) => {
    for (const option of constructionOptions({
      construction: usual,
      closure: CLOSURES[MAKE_UPS[usual.kind].closures[0]].usual,
    })) {
      for (const value of values(option))
        expect(
          Construction.safeParse({ ...usual, [option.key]: value }),
          `${option.label} = ${JSON.stringify(value)}`,
        ).toMatchObject({ success: true })
    }
  })

  it.each(closures)('%s: a job file can hold every choice', (_kind, usual) => {
    for (const option of closureOptions({ construction: MAKE_UPS.boxed.usual, closure: usual })) {
      for (const value of values(option))
        expect(
          Closure.safeParse({ ...usual, [option.key]: value }),
          `${option.label} = ${JSON.stringify(value)}`,
        ).toMatchObject({ success: true })
    }
  })

  it.each([
    ...constructions.map(
      ([kind, usual]) =>
        [
          kind,
          usual,
          constructionOptions({ construction: usual, closure: CLOSURES[MAKE_UPS[usual.kind].closures[0]].usual }),
        ] as const,
    ),
    ...closures.map(
      ([kind, usual]) => [kind, usual, closureOptions({ construction: MAKE_UPS.boxed.usual, closure: usual })] as const,
    ),
  ])('%s: shows what is set, within its bounds', (_kind, usual, options) => {
    for (const option of options) {
      const set = (usual as unknown as Record<string, unknown>)[option.key]
      if (option.kind === 'length') {
        if (set !== undefined) expect(option.write(option.value), option.label).toEqual(set)
        else expect(option.value, option.label).toBe(0)
        expect(option.value >= (option.limits.min ?? 1) && option.value <= option.limits.max, option.label).toBe(true)
      } else
        expect(
          option.choices.some((c) => c.value === option.value),
          `${option.label}: ${option.value}`,
        ).toBe(true)
    }
  })

  it('a tuck is only asked for where the front is not rounded', () => {
    const labels = (frontRadiusMm: number) =>
      constructionOptions({
        construction: { kind: 'waterfall', frontRadiusMm, tuckMm: 0, tucks: 1, tuckFromMm: 0 },
        closure: CLOSURES['zip-gusset'].usual,
      }).map((o) => o.label)
    expect([labels(25), labels(0)]).toEqual([['Front rounded by'], ['Front rounded by', 'Depth of a tuck']])
  })
})
