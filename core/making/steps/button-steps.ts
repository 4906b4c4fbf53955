import { phrase } from '../../language/index.ts'
import { act, type Act } from '../acts/act.ts'
import type { InWork } from '../acts/garments.ts'
import { gate, step } from '../step.ts'
import { checking, countOfWork } from '../work.ts'
import { nameOf } from './names.ts'
import type { OrderOf } from './order-of.ts'

/** Buttons go through the block, once it is in and shut. */
export function buttons(
  of: OrderOf,
  { design, cover, thing, ...garment }: InWork,
  id: (what: string) => string,
): readonly Act[] {
  const { buttons: wanted } = design.part.makeUp.trims
  const places = cover.panels.find((p) => p.marks.some((m) => m.kind === 'button'))?.marks ?? []
  const each = places.filter((m) => m.kind === 'button').length
  if (!wanted || each === 0) return []
  const count = design.design.count * each
  const name = nameOf(of, { design, cover, thing, ...garment })
  const base = { part: 'closing', resource: 'bench' } as const
  const at = 'shut'
  return [
    act(
      gate(
        {
          ...base,
          id: id('caps'),
          title: phrase`${name}Caps of the buttons`,
          asks: 'Was each covered button pulled hard by its shank before it is set?',
        },
        checking(id('caps')),
      ),
      thing,
      { kind: 'look' },
      { at },
    ),
    act(
      step({
        ...base,
        id: id('buttons'),
        title: phrase`${name}Set the buttons`,
        says: [phrase`${count} buttons, twine doubled, through the block; from the middle outwards, all at one depth.`],
        work: countOfWork('button', id('buttons'), count, 'every button'),
        safety: ['small-parts'],
      }),
      thing,
      { kind: 'button' },
      { at, after: [id('caps')] },
    ),
    act(
      gate(
        { ...base, id: id('pulled'), title: phrase`${name}Buttons hold`, asks: 'Was each button pulled hard once?' },
        checking(id('pulled')),
      ),
      thing,
      { kind: 'look' },
      { at, after: [id('buttons')] },
    ),
  ]
}
