import { describe, expect, it } from 'vitest'
import type { LayFailure, LayFault } from '../../../core/lay/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { keepersBench } from '../../../core/demo/index.ts'
import { RESCUES } from '../../../core/what-if/index.ts'
import { layFailureWords } from './failure-words.ts'
import { faultWords } from './fault-words.ts'
import { rescueWords } from './rescue-words.ts'

const plan = planJob(keepersBench())
if (plan.kind !== 'worked') throw new Error('the demo job is planned')
const lay = plan.cloth.lays[0]!
const [top, bottom] = ['1/top-plate', '1/bottom-plate'].map((id) => lay.pieces.find((p) => p.id === id)!)
const placement = (id: string) => `${id} (1)`

describe('what is wrong with a lay, by the names of its pieces', () => {
  it.each<[LayFault, string]>([
    [
      { code: 'overlap', piece: placement(top!.id), other: placement(bottom!.id) } as LayFault,
      'Top plate, cushion 1 lies over Bottom plate, cushion 1: drag one of them away.',
    ],
    [
      { code: 'too-close', piece: placement(top!.id), other: placement(bottom!.id) } as LayFault,
      'Top plate, cushion 1 is too near to Bottom plate, cushion 1.',
    ],
    [
      { code: 'off-cloth', piece: placement(top!.id), over: 12.7 } as LayFault,
      'Top plate, cushion 1 runs 12.7 mm off the usable cloth.',
    ],
    [{ code: 'on-flaw', piece: placement(top!.id), flaw: 0 } as LayFault, 'Top plate, cushion 1 covers flaw 1.'],
    [
      { code: 'out-of-phase', piece: placement(top!.id), axis: 'across', off: -8 } as LayFault,
      'Top plate, cushion 1 is 8 mm off its pattern across the roll',
    ],
    [{ code: 'turn-not-allowed', piece: placement(top!.id) } as LayFault, 'turn it with R'],
    [
      { code: 'wrong-count', piece: top!.id } as LayFault,
      'Top plate, cushion 1 is not as often on the cloth as it is wanted',
    ],
    [{ code: 'wrong-length', real: 2000 } as LayFault, 'The length should read 2000 mm.'],
  ])('%o', (fault, says) => expect(faultWords(fault, lay, 'mm')).toContain(says))

  it('sizes follow the units, and a piece of another cloth keeps its own name', () => {
    expect(faultWords({ code: 'off-cloth', piece: 'stranger (2)', over: 25.4 } as LayFault, lay, 'inch-8')).toBe(
      'stranger (2) runs 1 in off the usable cloth.',
    )
  })
})

describe('why there is no lay', () => {
  it.each<[LayFailure, string]>([
    [
      { code: 'wider-than-cloth', piece: top!.id, over: 70.7, wouldTurn: true },
      'Top plate, cushion 1 is 70.7 mm wider than the usable cloth',
    ],
    [
      { code: 'longer-than-cloth', piece: top!.id, over: 30 },
      'Top plate, cushion 1 is 30 mm longer than the cloth in hand',
    ],
    [{ code: 'no-place', piece: top!.id }, 'Top plate, cushion 1 finds no place on this cloth, even alone'],
    [
      { code: 'no-room', pieces: [top!.id, bottom!.id] },
      'There is no room for Top plate, cushion 1, Bottom plate, cushion 1.',
    ],
  ])('%o', (failure, says) => expect(layFailureWords(failure, lay, 'mm')).toContain(says))
})

describe('what is given up to fit a remnant', () => {
  it('every way has words of its own', () => {
    const words = RESCUES.flat().map((r) => rescueWords([r], 'calico', 'mm'))
    expect(new Set(words).size).toBe(new Set(RESCUES.flat()).size)
    expect(words.every((w) => w.length > 4)).toBe(true)
  })

  it('several are told in their order', () => {
    expect(rescueWords(['narrow-allowance', 'hidden-in-another'], 'calico', 'mm')).toMatch(
      /^Seam allowance \d.* mm, zigzagged; bottom, piping and linings in calico$/,
    )
  })
})
