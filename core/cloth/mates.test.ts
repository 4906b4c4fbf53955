import { describe, expect, it } from 'vitest'
import { demoJobs } from '../demo/index.ts'
import { acceptLay, onTheCloth, solveLay } from '../lay/index.ts'
import { planJob } from '../plan/index.ts'
import { pickBelow, seeded } from '../random/index.ts'
import { withMatesTogether, type ClothLay } from './index.ts'

const owns = demoJobs().flatMap((job) => {
  const plan = planJob(job)
  return plan.kind === 'worked' ? plan.cloth.lays.map((own) => ({ says: `${job.ticket} ${own.cloth.name}`, own })) : []
})

/** How far the pieces of one cushion lie from each other: every two of them, by the squares of their distances. */
function apart(
  own: ClothLay,
  lay: { placements: readonly { id: string; x: number; y: number; turn: number; flip: boolean }[] },
) {
  const places = lay.placements.map((place) => {
    const outline = own.problem.pieces.find((p) => p.id === place.id)!.outline
    const of = own.pieces.find((p) => p.id === place.id)!.of
    const points = outline.map(([x, y]) => onTheCloth(place, x, y))
    const mid = (axis: 0 | 1) => (Math.min(...points.map((p) => p[axis])) + Math.max(...points.map((p) => p[axis]))) / 2
    return { cushion: of && `${of.part} ${of.cushion}`, x: mid(0), y: mid(1) }
  })
  const counts = new Map<string, number>()
  for (const { cushion } of places) if (cushion) counts.set(cushion, (counts.get(cushion) ?? 0) + 1)
  let sum = 0
  for (const [i, a] of places.entries())
    for (const b of places.slice(i + 1))
      if (a.cushion && a.cushion === b.cushion) sum += ((a.x - b.x) ** 2 + (a.y - b.y) ** 2) / counts.get(a.cushion)!
  return sum
}

/** A lay as a long search leaves it: pieces that are the same to it have changed places at random. */
function strewn(own: ClothLay, seed: number) {
  const solved = solveLay(own.problem, { seed: 1, budget: { steps: 6, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  const random = seeded(seed)
  const { placements } = solved.value.lay
  const same = new Map<string, number[]>()
  placements.forEach(({ id }, i) => {
    const { outline, turns, flip, match } = own.problem.pieces.find((p) => p.id === id)!
    const key = JSON.stringify([outline, turns, flip, match])
    same.set(key, [...(same.get(key) ?? []), i])
  })
  const holders = placements.map(({ id, copy }) => ({ id, copy }))
  for (const kind of same.values())
    for (let k = kind.length - 1; k > 0; k--) {
      const [i, j] = [kind[k]!, kind[pickBelow(random, k + 1)]!]
      ;[holders[i], holders[j]] = [holders[j]!, holders[i]!]
    }
  return { ...solved.value.lay, placements: placements.map((p, i) => ({ ...p, ...holders[i]! })) }
}

describe('pieces of one cushion are brought together', () => {
  const found = owns.filter(({ own }) => own.problem.pieces.length > 1)

  it.each(found)('$says: the same places, sound, and never further apart', ({ own }) => {
    const lay = strewn(own, 3)
    expect(acceptLay(own.problem, { ...lay, seconds: 0 })).toEqual([])
    const together = withMatesTogether(own, lay)
    expect(acceptLay(own.problem, { ...together, seconds: 0 })).toEqual([])
    const places = (of: typeof lay) => of.placements.map((p) => `${p.x} ${p.y} ${p.turn} ${p.flip}`).toSorted()
    expect(places(together)).toEqual(places(lay))
    const keys = (of: typeof lay) => of.placements.map((p) => `${p.id}#${p.copy}`).toSorted()
    expect(keys(together)).toEqual(keys(lay))
    expect(apart(own, together)).toBeLessThanOrEqual(apart(own, lay) + 1)
  })

  it('two cushions of two plates each, by hand: neighbours become mates', () => {
    const { own } = found.find((o) => o.says === 'SL-02 Lamp-room ticking')!
    const plate = { ...own.problem.pieces[0]!, qty: 1, match: null, turns: [0] }
    const piece = own.pieces.find((p) => p.of)!
    const ids = ['a1', 'b1', 'a2', 'b2']
    const two: ClothLay = {
      ...own,
      problem: { ...own.problem, pieces: ids.map((id) => ({ ...plate, id })) },
      pieces: ids.map((id) => ({ ...piece, id, of: { ...piece.of!, cushion: id.startsWith('a') ? 0 : 1 } })),
    }
    const lay = {
      placements: [0, 1000, 5000, 6000].map((y, i) => ({ id: ids[i]!, copy: 1, x: 0, y, turn: 0, flip: false })),
    }
    const whose = withMatesTogether(two, lay).placements.map((p) => p.id[0])
    expect(whose[0]).toBe(whose[1])
    expect(whose[2]).toBe(whose[3])
    expect(whose[0]).not.toBe(whose[2])
  })

  it('what lies strewn comes nearer by a twentieth and more on a third of the tickets', () => {
    const nearer = found.filter(({ own }) => {
      const lay = strewn(own, 3)
      return apart(own, withMatesTogether(own, lay)) < 0.95 * apart(own, lay)
    })
    expect(nearer.length).toBeGreaterThanOrEqual(found.length / 3)
  })
})
