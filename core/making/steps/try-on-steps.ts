import { phrase } from '../../language/index.ts'
import { oneToAnEdge, type Seam } from '../../cover/index.ts'
import { act, type Act } from '../acts/act.ts'
import { gate } from '../step.ts'
import { checking } from '../work.ts'
import type { Sewn } from './seam-step.ts'

/** A wrapped tube is tried on its body once it has its first end. */
export function triedOn({ design, garment, prefix, name }: Sewn, inside: readonly Seam[]): readonly Act[] {
  const first = inside.find((s) => s.kind === 'plate')
  if (design.part.makeUp.construction.kind !== 'wrapped-tube' || !first) return []
  const tried = gate(
    {
      id: `${prefix}tube`,
      part: 'sewing',
      resource: 'machine',
      title: phrase`${name}Try the wrap on its body`,
      asks: 'With its first end on: does the wrap reach the other end of the body? Note what is trimmed off.',
    },
    checking(`${prefix}tube`),
  )
  return [act(tried, garment.thing, { kind: 'look' }, { at: 'wrong-side', after: [`${prefix}${first.letter}`] })]
}

/** Every edge that was left longer is trimmed once the cover can be tried on, and how much came off is told. */
export function trimmed({ of, design, cover, garment, prefix, name }: Sewn, inside: readonly Seam[]): readonly Act[] {
  const first = inside.find((s) => s.kind === 'plate') ?? inside[0]!
  return garment.layer !== 'cover'
    ? []
    : oneToAnEdge(design.part.makeUp.reserves).flatMap(({ panel: id, edge, mm }): readonly Act[] => {
        const panel = cover.whole.panels.find((p) => p.id === id && p.edges.some((e) => e.name === edge))
        if (!panel) return []
        const tried = gate(
          {
            id: `${prefix}trim.${id}.${edge}`,
            part: 'sewing',
            resource: 'machine',
            title: phrase`${name}Try it on, and trim the ${panel.name.toLowerCase()}`,
            asks: phrase`Tried on and trimmed at its ${edge}: how much of the ${of.say(mm)} came off?`,
            measures: { what: 'trimmed-off', letter: design.part.letter, panel: id, edge, plannedMm: mm },
          },
          checking(`${prefix}trim.${id}.${edge}`),
        )
        const after = first === inside.at(-1) ? [] : [`${prefix}${first.letter}`]
        return [act(tried, garment.thing, { kind: 'look' }, { at: 'wrong-side', after })]
      })
}
