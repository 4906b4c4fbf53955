import { describe, expect, it } from 'vitest'
import type { Cloth } from '../../contract/index.ts'
import { DEMO_CLOTHS } from '../demo/index.ts'
import { leftover, remnantFrom } from './index.ts'

const cloth = (id: string): Cloth => DEMO_CLOTHS.find((c) => c.id === id)!
const as = { id: 'left', name: 'Left over' }
const lay = (length: number, along: number | null = null) => ({ length, offsets: { run: { across: 0, along } } })

describe('what is left when a lay is cut', () => {
  it('of cloth that was bought: 3500 less 3320 is a remnant of 180, whole width', () => {
    const left = leftover(cloth('lamp-room-ticking'), lay(3320), 3500, as)!
    expect([left.id, left.supply]).toEqual([
      'left',
      {
        kind: 'remnant',
        outline: [
          [0, 0],
          [1370, 0],
          [1370, 180],
          [0, 180],
        ],
      },
    ])
  })
  it('an end of less than a hand is none', () =>
    expect(leftover(cloth('lamp-room-ticking'), lay(3440), 3500, as)).toBeNull())
  it('of a length in hand: the same cloth, shorter', () => {
    const left = leftover({ ...cloth('storm-canvas'), supply: { kind: 'length', lengthMm: 5000 } }, lay(1234), 0, as)!
    expect([left.id, left.supply]).toEqual(['storm-canvas', { kind: 'length', lengthMm: 3766 }])
  })
  it('of a remnant: its outline from there on, the missing corner still missing', () => {
    const left = leftover(cloth('kelp-check'), lay(400), 0, as)!
    expect(left.supply).toEqual({
      kind: 'remnant',
      outline: [
        [1180, 0],
        [1180, 160],
        [980, 160],
        [980, 470],
        [0, 470],
        [0, 0],
      ],
    })
  })
  it('flaws move with the new end, or are gone with what was cut', () => {
    const flaws = [
      { xMm: 5, yMm: 100, widthMm: 20, lengthMm: 50 },
      { xMm: 5, yMm: 380, widthMm: 20, lengthMm: 50 },
      { xMm: 9, yMm: 700, widthMm: 20, lengthMm: 30 },
    ]
    expect(leftover({ ...cloth('kelp-check'), flaws }, lay(400), 0, as)!.flaws).toEqual([
      { xMm: 5, yMm: 0, widthMm: 20, lengthMm: 30 },
      { xMm: 9, yMm: 300, widthMm: 20, lengthMm: 30 },
    ])
  })
  it('the check begins where it was cut: begun at 10, 1000 used, repeat 92: 10 − 1000 is 22 more than −11 repeats', () => {
    const { pattern } = leftover(cloth('tern-check'), lay(1000, 10), 2000, as)!
    expect(pattern.kind === 'check' && pattern.startAlongMm).toBe(22)
  })
})

describe('a free rectangle of a lay as a remnant', () => {
  it('has no selvedges, and its pattern starts where it lies: 0 − 100 is 72 in 86, begun at 10 and 50 further on 52 in 92', () => {
    const rest = remnantFrom(cloth('tern-check'), { x: 100, y: 50, width: 400, height: 300 }, lay(900, 10), as)
    expect(rest).toMatchObject({
      id: 'left',
      widthMm: 400,
      selvedgeMm: [0, 0],
      supply: {
        kind: 'remnant',
        outline: [
          [0, 0],
          [400, 0],
          [400, 300],
          [0, 300],
        ],
      },
    })
    expect(rest.pattern).toMatchObject({ startMm: 72, startAlongMm: 52 })
  })
  it('a motif is told by its middle: repeat 320 begun at 10, 1000 used, starts 290 in, its middle 130 in', () => {
    const print: Cloth = {
      ...cloth('tern-check'),
      pattern: {
        kind: 'motif',
        acrossMm: 200,
        alongMm: 320,
        colour: '#112233',
        startMm: 0,
        startAlongMm: 0,
        halfDrop: false,
      },
    }
    expect(leftover(print, lay(1000, 10), 2000, as)!.pattern).toMatchObject({ startAlongMm: 130 })
  })
  it('stripes across the roll only start elsewhere along it', () => {
    const bands = cloth('tern-check').pattern
    const across: Cloth = {
      ...cloth('tern-check'),
      pattern: { kind: 'stripes', runs: 'across', bands: bands.kind === 'check' ? bands.along : [], startMm: 0 },
    }
    expect(remnantFrom(across, { x: 100, y: 50, width: 400, height: 300 }, lay(900, 0), as).pattern).toMatchObject({
      startMm: 42,
    })
  })
})
