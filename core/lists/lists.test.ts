import { describe, expect, it } from 'vitest'
import type { Construction, PartJob, Lay } from '../../contract/index.ts'
import { cutOutline, usualMakeUp } from '../cover/index.ts'
import { demoParts } from '../demo/index.ts'
import { jobOf, newSeat } from '../job/index.ts'
import { orderFaults, workOrder } from '../making/index.ts'
import { boxOf } from '../outline/index.ts'
import { benchJob, worked, mediumBenchPart } from '../testing/jobs.ts'
import { sayWorking } from '../working/index.ts'
import { textKey } from '../text-key/index.ts'
import { blockLabels, buyingList, chalkList, sheetSize } from './index.ts'

const job = mediumBenchPart()
const plan = worked(job)

describe('the cut list', () => {
  it('has foam first, then every panel once with its count, then the piping', () => {
    expect(plan.cutList.map((l) => [l.count, l.what])).toEqual([
      [3, 'Foam A1, Gannet 30/140, 75 mm sheet'],
      [3, 'Top plate'],
      [3, 'Bottom plate'],
      [3, 'Front boxing'],
      [3, 'Left boxing'],
      [3, 'Right boxing'],
      [3, 'Gusset, upper half'],
      [3, 'Gusset, lower half'],
      [6, 'Piping strip, along'],
    ])
  })

  it('gives cut sizes throughout', () => {
    for (const line of plan.cutList) {
      expect(line.width.line).toBe('cut')
      expect(line.height.line).toBe('cut')
    }
  })

  it('counts a block of two layers twice, by sheet thickness', () => {
    const thick = worked(benchJob({ thickness: 125 }))
    expect(thick.cutList.filter((l) => l.material === 'foam').map((l) => [l.count, l.what])).toEqual([
      [3, 'Foam A1, Fulmar 50/220, 100 mm sheet'],
      [3, 'Foam A2, Fulmar 50/220, 25 mm sheet'],
    ])
  })

  it('has no piping where none is sewn', () => {
    const bare = worked({ ...job, makeUp: { ...job.makeUp, piping: { kind: 'none' } } })
    expect(bare.cutList.some((l) => l.what.startsWith('Piping'))).toBe(false)
  })

  it('counts the notches of a piece: the middles of front and back, and on each side the ends of boxing and gusset', () => {
    const notes = (j: PartJob) => Object.fromEntries(worked(j).cutList.map((l) => [l.what, l.note]))
    expect(notes(job)).toMatchObject({
      'Top plate': '6 notches',
      'Bottom plate': '6 notches',
      'Front boxing': '2 notches',
      'Left boxing': '2 notches',
      'Gusset, upper half': '4 notches',
    })
    const pile = { ...job, cloth: { ...job.cloth, cloth: { ...job.cloth.cloth, marking: 'tacks' as const } } }
    expect(notes(pile)['Front boxing']).toBe('2 tacks')
  })

  it('shows what each line is cut along: as wide and as high as the line says', () => {
    for (const l of plan.cutList) {
      if (l.shape.kind === 'strip') continue
      const { minX, maxX, minY, maxY } = boxOf(l.shape.kind === 'panel' ? cutOutline(l.shape.panel) : l.shape.outline)
      expect([maxX - minX, maxY - minY], l.what).toEqual([
        expect.closeTo(l.width.value, 6),
        expect.closeTo(l.height.value, 6),
      ])
    }
  })

  it('speaks the unit of the job', () => {
    expect(worked({ ...job, units: 'inch-8' }).cutList[0]!.what).toBe('Foam A1, Gannet 30/140, 3 in sheet')
    expect(sheetSize({ lengthMm: 2000, widthMm: 1200 }, 75, 'mm')).toBe('2000 x 1200 x 75 mm')
    expect(sheetSize({ lengthMm: 2000, widthMm: 1200 }, 75, 'cm')).toBe('200 x 120 x 7.5 cm')
  })
})

describe('the buying list', () => {
  const amounts = (j: PartJob, length: number | null) => {
    const p = worked(j)
    return Object.fromEntries(
      buyingList(j, p, [{ laidMm: length, boundMm: 2500 }]).lines.map((l) => [l.what.split(',')[0]!, l.amount.value]),
    )
  }

  it('buys cloth by the step: 3249 laid is 3300 bought, at 34 a metre', () => {
    const list = buyingList(job, plan, [{ laidMm: 3249, boundMm: 3249 }])
    expect(sayWorking(list.lines[1]!.amount, 'mm')).toBe('3.25 m, up to the next 0.1 m = 3.3 m')
    expect(list.lines[1]!.cost!.value).toBeCloseTo(112.2, 6)
    expect(list.hasLay).toBe(true)
  })

  it('without a lay it says that only the bound is known', () => {
    const list = buyingList(job, plan, [{ laidMm: null, boundMm: 2500 }])
    expect(list.hasLay).toBe(false)
    expect(list.lines[1]!.amount.value).toBe(2500)
  })

  it('cord by hand: 3 cushions x 2 loops x 2489.33 x 1.02', () =>
    expect(amounts(job, 3249)['Piping cord 5 mm']).toBeCloseTo(15234.72, 1))
  it('one zip and one slider for each cushion', () =>
    expect(amounts(job, 3249)).toMatchObject({ Zip: expect.closeTo(980.667, 2), Sliders: 3 }))

  it('cushions that are alike or mirrored take the same zip: one line', () => {
    const zips = (j: PartJob) =>
      buyingList(j, worked(j), [{ laidMm: 3000, boundMm: 3000 }])
        .lines.filter((l) => l.what.startsWith('Zip'))
        .map((l) => l.what)
    const [ring, , , , lids, berth] = demoParts()
    expect(zips(ring!)).toEqual(['Zip, 5 of'])
    expect(zips(lids!)).toEqual([])
    expect(zips(berth!)).toEqual(['Zip, 2 of'])
  })

  it('thread by hand: rows of one cushion are 2 x 980.7 of zip, 4 x 75 of joins, and 2 x 2429.3 basted and sewn, times 3 cushions, times 3.3', () => {
    expect(amounts(job, 3249)['Thread']).toBeCloseTo((2 * 980.667 + 4 * 75 + 2 * 2 * 2429.333) * 3 * 3.3, 0)
  })
})

describe('block labels', () => {
  it('one for every block, with its layers from the top, its parts, and how it is cut', () => {
    const job = demoParts()[3]!
    const labels = blockLabels(worked(job).cutting!, job)
    expect(labels).toHaveLength(3)
    expect(labels[1]).toEqual({
      block: 'A, 2 of 3',
      design: 0,
      size: '1924 x 746.6 x 125 mm cut',
      layers: 'Eider 50/60 25 mm on Gannet 36/180 100 mm',
      parts: 'glued from A1, A2',
      note: 'cut to the template',
    })
  })
})

describe('boards', () => {
  const clearance = 3
  const covered = usualMakeUp('pull-over')
  const pulled: PartJob = {
    ...job,
    seat: { ...newSeat('singles', 600, 400, 60, 2), clearanceMm: 0 },
    makeUp: {
      ...covered,
      construction: { ...covered.construction, clearanceMm: clearance, boardMm: 9, airHoles: true } as Construction,
    },
    cloth: { ...job.cloth, match: { kind: 'none' } },
  }
  const plan = worked(pulled)

  it('are sawn before cloth is cut: the seat less the clearance at each side, with their holes', () => {
    const at = plan.cutList.findIndex((l) => l.material === 'board')
    const line = plan.cutList[at]!
    expect([line.what, line.count, line.width.value, line.height.value]).toEqual(['Board', 2, 594, 394])
    expect(at).toBeLessThan(plan.cutList.findIndex((l) => l.material === 'cloth'))
    // Fields of at most 150 mm: four of 148.5 by three of 131.3, each with its middle clear of the edge.
    expect(line.note).toBe('12 air holes')
    expect(plan.designs[0]!.cover.board!.holes.map((h) => Math.round(h.x - clearance)).slice(0, 4)).toEqual([
      74, 74, 74, 223,
    ])
  })

  it('are bought by the sheet: two of 594 x 394, a saw of 3 between them, come out of half a sheet', () => {
    const bought = (count: number, keep = false) => {
      const seat = { ...pulled.seat, division: { kind: 'singles', count, mirrored: 0 } } as const
      const there = { ...pulled.there, things: keep ? { board: { use: 'keep', note: '' } as const } : {} }
      const plan = worked({ ...pulled, seat, there })
      const { lines } = buyingList(pulled, plan, [{ laidMm: 3000, boundMm: 3000 }])
      return lines.filter((l) => l.what.startsWith('Board')).map((l) => [l.what, l.amount.value])
    }
    // 2 x 594 + 3 = 1191 of 1220, three rows of 394: six to a half sheet, and 4 x 3 to a whole one.
    expect(bought(2)).toEqual([['Board 9 mm, sheets 1220 x 1220 mm', 1]])
    expect(bought(12)).toEqual([['Board 9 mm, sheets 2440 x 1220 mm', 1]])
    expect(bought(13)).toEqual([['Board 9 mm, sheets 1220 x 1220 mm', 3]])
    expect(bought(2, true)).toEqual([])
    const kept = { ...pulled, there: { ...pulled.there, things: { board: { use: 'mend', note: '' } as const } } }
    expect(worked(kept).cutList.some((l) => l.material === 'board')).toBe(false)
    expect(orderFaults(jobOf(kept), worked(kept))).toEqual([])
    expect(workOrder(jobOf(kept), worked(kept)).map((s) => s.title)).not.toContain('Cut the board')
  })
})

describe('the cut list of shapes', () => {
  const [ring, , chairs, bunks, lids, berth] = demoParts()
  const lines = (j: PartJob) => worked(j).cutList

  it('says what is cut to a template, and how the knife is tilted', () => {
    expect(
      lines(berth!)
        .filter((l) => l.material === 'foam')
        .map((l) => [l.what, l.count, l.note]),
    ).toEqual(
      ['A', 'B'].flatMap((letter) => [
        [`Foam ${letter}1, Auk 33/400, 25 mm sheet`, 1, expect.stringContaining('knife tilt: hull 24° outwards')],
        [`Foam ${letter}2, Skua 30/150, 75 mm sheet`, 1, expect.stringContaining('knife tilt: hull 24° outwards')],
      ]),
    )
    expect(lines(ring!)[0]!.note).toBe('cut to the template')
    expect(lines(bunks!)[0]!.note).toBe('on the board; cut to the template')
    expect(
      lines(chairs!)
        .filter((l) => l.material === 'foam')
        .every((l) => l.note === 'cut to the template'),
    ).toBe(true)
  })

  it('tells mirrored cushions apart by their letter', () => {
    expect(lines(lids!).map((l) => l.what)).toEqual(
      expect.arrayContaining(['Cover, pulled over A', 'Cover, pulled over B', 'Dust cover A', 'Dust cover B']),
    )
    expect(lines(ring!).map((l) => l.what)).toContain('Top plate')
  })
})

describe('the chalk list of bowed pieces', () => {
  it('gives the bow of each arc: the inner arc of 728 on 1870 less the wall clearance rises inwards by 35', () => {
    const plan = worked(demoParts()[0]!)
    const lay: Lay = {
      format: 'loft-seam/lay',
      version: 1,
      length: 2000,
      bound: 0,
      seed: 1,
      seconds: 0,
      offsets: {},
      placements: [{ id: '1/top-plate', copy: 1, x: 20, y: 20, turn: 0, flip: false }],
    }
    const bows = chalkList(plan.cloth.lays[0]!, lay)[0]!.corners.map((c) => Number(c.bowMm.toFixed(1)))
    // Cut 12 mm outside the sewing line: radius 1858 over the same angle of 0.3893 and its allowance at the ends.
    const half = Math.asin(
      (2 * 1870 * Math.sin(728 / 1870 / 2) + 24 / Math.cos(728 / 1870 / 2) - 24 * Math.tan(728 / 1870 / 2)) / 2 / 1858,
    )
    expect(bows.filter((b) => b !== 0)).toHaveLength(2)
    expect(-bows.find((b) => b < 0)!).toBeCloseTo(1858 * (1 - Math.cos(half)), 0)
  })
})

describe('the chalk list', () => {
  const lay: Lay = {
    format: 'loft-seam/lay',
    version: 1,
    length: 2000,
    bound: 0,
    seed: 1,
    seconds: 0,
    offsets: {},
    placements: [
      { id: '2/top-plate', copy: 1, x: 22, y: 1012, turn: 0, flip: false },
      { id: '1/top-plate', copy: 1, x: 822, y: 12, turn: 0, flip: false },
      { id: '1/boxing-front', copy: 1, x: 22, y: 12, turn: 0, flip: false },
      { id: 'piping', copy: 2, x: 1300, y: 500, turn: 90, flip: false },
    ],
  }
  const lines = chalkList(plan.cloth.lays[0]!, lay)

  it('goes from the starting end on, left to right', () =>
    expect(lines.map((l) => `${l.order} ${l.name}`)).toEqual([
      '1 Front boxing, cushion 1',
      '2 Top plate, cushion 1',
      '3 Piping strip 2',
      '4 Top plate, cushion 2',
    ]))

  it('gives the corners of the cut edge: 12 mm outside the sewing line', () => {
    expect(lines[0]!.corners[0]).toEqual({ fromSelvedge: 10, fromStart: 0, bowMm: 0 })
    expect(lines[0]!.corners[2]!.fromSelvedge).toBeCloseTo(22 + 746.667 + 12, 2)
    expect(lines[0]!.corners[2]!.fromStart).toBeCloseTo(12 + 75 + 12, 6)
  })

  it('turns a strip along the roll', () => {
    const strip = lines[2]!
    expect(strip.arrowDegrees).toBe(90)
    expect(strip.corners.map((c) => [Math.round(c.fromSelvedge), Math.round(c.fromStart)])).toEqual([
      [1300, 500],
      [1300, 2989],
      [1260, 2989],
      [1260, 500],
    ])
  })
})

describe('textKey', () => {
  it('is the same for the same text and differs for the next', () => {
    expect(textKey('lay')).toBe(textKey('lay'))
    expect(textKey('lay')).toMatch(/^[0-9a-f]{16}$/)
    expect(new Set(Array.from({ length: 5000 }, (_, i) => textKey(`piece ${i}`))).size).toBe(5000)
  })
})
