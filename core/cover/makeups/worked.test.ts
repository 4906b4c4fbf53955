import { describe, expect, it } from 'vitest'
import type { Construction, MakeUp } from '../../../contract/index.ts'
import { USUAL_PIPING } from '../../job/index.ts'
import { boxSolid, coverOf } from '../../testing/jobs.ts'
import { sayWorking } from '../../working/index.ts'
import {
  biasWays,
  checkCover,
  CLOSURES,
  cutOutline,
  marksOnPiece,
  noteWords,
  panelOf,
  seamLength,
  type Cover,
} from '../index.ts'

type Change = Partial<MakeUp> & { readonly kind?: Construction['kind'] }
const cover = (w: number, d: number, t: number, change: Change): Cover => coverOf(boxSolid(w, d, t), change)
const cut = (c: Cover, panel: string) =>
  [panelOf(c, panel).figures.cutWidth, panelOf(c, panel).figures.cutHeight].map((f) => Number(f.value.toFixed(1)))
const working = (c: Cover, panel: string) =>
  [panelOf(c, panel).figures.cutWidth, panelOf(c, panel).figures.cutHeight].map((f) => sayWorking(f, 'mm'))
const figureOf = (c: Cover, id: string) => c.figures.find((f) => f.id === id)!

describe('make-ups worked by hand, s 12', () => {
  it('knife-edge 560 x 480 x 140: plates cut 724 x 644', () => {
    const c = cover(560, 480, 140, { kind: 'knife-edge', closure: { ...CLOSURES['sewn-shut'].usual } })
    expect(cut(c, 'top-plate')).toEqual([724, 644])
    expect(working(c, 'top-plate')).toEqual(['700 + 12 + 12 = 724 mm cut', '620 + 12 + 12 = 644 mm cut'])
    expect(sayWorking(panelOf(c, 'top-plate').figures.finishedWidth, 'mm')).toBe('560 + 140 = 700 mm net')
  })

  it('knife-edge 610 x 545 x 110 with a zip in its back seam, tape 8: plates cut 744 x 675 at the zip, 679 over its rounded corners', () => {
    const c = cover(610, 545, 110, { kind: 'knife-edge', closure: CLOSURES['zip-seam'].usual })
    expect([cut(c, 'top-plate'), cut(c, 'bottom-plate')]).toEqual([
      [744, 679],
      [744, 679],
    ])
    // The corners keep their 12: only the zip's own edge is cut at the tape, so the piece measures 655 + 12 + 12 over
    // all.
    const plate = panelOf(c, 'top-plate')
    const back = plate.finished.findIndex((_, i) => plate.edges[i]!.treatment === 'zip')
    const cutY = Math.max(
      ...cutOutline(plate).flatMap((v, i, all) =>
        Math.abs(v.y - all[(i + 1) % all.length]!.y) < 1e-6 && v.y > 300 ? [v.y] : [],
      ),
    )
    expect(cutY - plate.finished[back]!.y).toBeCloseTo(8, 6)
  })

  it('hinged pair 470 wide, 455 + 530, t 35: panels cut 529 x 1079, divider 502 from the raw end', () => {
    const c = cover(470, 455, 35, {
      construction: { kind: 'hinged-pair', backDepthMm: 530 },
      closure: CLOSURES['sewn-shut'].usual,
    })
    expect(cut(c, 'top-plate')).toEqual([529, 1079])
    expect(cut(c, 'bottom-plate')).toEqual([529, 1079])
    expect(sayWorking(figureOf(c, 'cover.divider'), 'mm')).toBe('455 + 35 + 12 = 502 mm cut')
  })

  it('rolled edge 560 x 560 x 120, s = r = 10, c 3: plates cut 606 x 606, boxing cut 166 high', () => {
    const c = coverOf(
      boxSolid(560, 560, 120),
      { construction: { kind: 'rolled-edge', rollMm: 10, turnMm: 3 }, closure: CLOSURES['sewn-shut'].usual },
      { seamMm: 10 },
    )
    expect(cut(c, 'top-plate')).toEqual([606, 606])
    expect(cut(c, 'boxing-front')).toEqual([606, 166])
    expect(working(c, 'boxing-front')[1]).toBe('120 + 23 + 23 = 166 mm cut')
  })

  it('capped 1100 x 430 x 100 drawn to t: blank 1300 x 630 at the base line, border finishes 88', () => {
    const c = cover(1100, 430, 100, { kind: 'capped', closure: CLOSURES.horseshoe.usual })
    expect(cut(c, 'blank')).toEqual([1300, 630])
    expect(sayWorking(figureOf(c, 'cover.border'), 'mm')).toBe('100 − 12 = 88 mm net')
    expect(cut(c, 'base')).toEqual([1124, 454])
    const full = cover(1100, 430, 100, {
      construction: { kind: 'capped', school: 'full-depth' },
      closure: CLOSURES.horseshoe.usual,
    })
    expect(cut(full, 'blank')).toEqual([1324, 654])
  })

  it('a U slot set in 60, corners 60: 2 x 310 + 980 less (4 - pi) x 60', () => {
    const c = cover(1100, 430, 100, { kind: 'capped', closure: CLOSURES.horseshoe.usual })
    expect(c.closures[0]!.lengthMm.value).toBeCloseTo(2 * 310 + 980 - (4 - Math.PI) * 60, 0)
    expect(panelOf(c, 'base').marks.map((m) => m.kind)).toEqual(['slot'])
  })

  it('lap-closed t 64, tape 20: lap 26, strips cut 12 + 32 + 13 + 32 = 89, the pair finishes 64', () => {
    const c = cover(600, 400, 64, { kind: 'lap-closed', closure: { kind: 'hook-and-loop', tapeMm: 20, side: 'left' } })
    expect(sayWorking(c.closures[0]!.lap!, 'mm')).toBe('20 + 6 = 26 mm')
    expect([cut(c, 'lap-upper')[1], cut(c, 'lap-lower')[1]]).toEqual([89, 89])
    const finished =
      panelOf(c, 'lap-upper').figures.finishedHeight.value + panelOf(c, 'lap-lower').figures.finishedHeight.value
    expect(finished).toBe(64)
    // (64 + 24 - 12) / 3
    expect(figureOf(c, 'cover.lapMost').value).toBeCloseTo(25.33, 2)
  })

  it('pull-over 1124 x 402, t 60, board 9, u 45: 1352 x 630, each dart 69', () => {
    const c = cover(1124, 402, 60, { kind: 'pull-over', closure: CLOSURES.fixed.usual })
    expect(cut(c, 'blank')).toEqual([1352, 630])
    expect(c.seams.map((s) => seamLength(s))).toEqual([69, 69, 69, 69])
    // Board 1118 x 396, dust cover 12 less all round and folds of 15.
    expect([figureOf(c, 'cover.board.width').value, figureOf(c, 'cover.board.depth').value]).toEqual([1118, 396])
    expect(cut(c, 'dust-cover')).toEqual([1124, 402])
    // (2 x 1514) / 30 = 100.9
    expect(c.fittings[0]!.amount.value).toBe(101)
  })

  it('cube 440 x 440 x 380, s 12, hem 30: tape 380 − 12 − 30; an inner cover with a base; wadding of the top and four sides 350 high', () => {
    const c = cover(440, 440, 380, { kind: 'cube', closure: CLOSURES['snap-tape'].usual })
    expect(sayWorking(c.closures[0]!.fittings[0]!.amount, 'mm')).toBe('368 − 30 = 338 mm')
    expect(c.panels.filter((p) => p.cloth === 'liner').length).toBe(5)
    expect(cut(c, 'inner-base')).toEqual([464, 464])
    expect(c.fittings.find((f) => f.use === 'wadding')!.amount.value).toBeCloseTo(440 * 440 + 4 * 440 * 350, 6)
  })

  it('cube 440 x 440 x 380 from 50 mm sheets: 8 layers, 20 mm over, and what to do', () => {
    const c = cover(440, 440, 380, { kind: 'cube', closure: CLOSURES['snap-tape'].usual })
    expect(figureOf(c, 'cover.layers').value).toBe(8)
    expect(figureOf(c, 'cover.layersOver').value).toBe(20)
    expect(noteWords(c.notes[0]!, 'mm')).toBe(
      '8 sheets stand 20 mm over: split the last to 30 mm, or let the cube finish 20 mm higher.',
    )
    expect(noteWords(c.notes[0]!, 'inch-8')).toContain('split the last to 1 1/8 in')
    // Side 380 + s + hem 30, closure in a lap of 26: half of it and a hem of 32.
    expect(cut(c, 'side-front')).toEqual([464, 422])
    expect(cut(c, 'side-back')[0]).toBe(440 + 12 + 13 + 32)
    expect(cut(c, 'lining-side-front')[1]).toBe(380 - 30 + 24)
  })

  it('bolster D 190 x 620: body 596.9 round, ends 214', () => {
    const c = cover(620, 190, 190, { kind: 'bolster', closure: CLOSURES['sewn-shut'].usual })
    expect(Number(c.perimeter.value.toFixed(1))).toBe(596.9)
    expect(cut(c, 'body')).toEqual([644, 620.9])
    expect(cut(c, 'end-left')).toEqual([214, 214])
  })

  it('slit back d 468, share 0.7, o 70, h 25: 399.6 and 212.4; halves less hems and lap are the cut plate', () => {
    const c = cover(746.7, 468, 75, { kind: 'slit-back', closure: CLOSURES.slit.usual })
    const [front, back] = [cut(c, 'bottom-front')[1]!, cut(c, 'bottom-back')[1]!]
    expect([front, back]).toEqual([399.6, 212.4])
    expect(working(c, 'bottom-front')[1]).toBe('327.6 + 12 + 60 = 399.6 mm cut')
    expect(front + back - 2 * 25 - 70).toBeCloseTo(468 + 24, 6)
  })

  it('wrapped tube 900 x 450 x 80: girth 2 x 530, one lap of 26 and its hems of 32 more', () => {
    const c = cover(900, 450, 80, { kind: 'wrapped-tube', closure: CLOSURES['snap-tape'].usual })
    expect(cut(c, 'body')).toEqual([924, 1060 + 26 + 2 * 32])
    expect(cut(c, 'end-left')).toEqual([474, 104])
  })

  it('waterfall 600 x 500 x 90, front rounded 25: 2 x 500 + 90 less (4 - pi) x 25', () => {
    const c = cover(600, 500, 90, { kind: 'waterfall', closure: CLOSURES['zip-gusset'].usual })
    expect(panelOf(c, 'body').figures.finishedHeight.value).toBeCloseTo(1090 - (4 - Math.PI) * 25, 6)
    const tucked = cover(600, 500, 90, {
      construction: { kind: 'waterfall', frontRadiusMm: 0, tuckMm: 15, tucks: 1, tuckFromMm: 0 },
      closure: CLOSURES['zip-gusset'].usual,
    })
    // Two tucks on each side edge take twice 15 each.
    expect(panelOf(tucked, 'body').figures.finishedHeight.value).toBe(1090 + 60)
  })

  it('pinch-corner 600 x 400 x 100, lap 70, hems 25: 724 x 1000 + 70 + 50; the seam across is the thickness', () => {
    const c = cover(600, 400, 100, { kind: 'pinch-corner', closure: CLOSURES.slit.usual })
    expect(cut(c, 'blank')).toEqual([724, 1120])
    expect(c.seams.filter((s) => s.kind === 'corner').map((s) => seamLength(s))).toEqual([100, 100, 100, 100])
    const three = cover(600, 400, 100, {
      construction: { kind: 'pinch-corner', panels: 'three', share: 0.7, hemMm: 25, lapMm: 70 },
      closure: CLOSURES.slit.usual,
    })
    expect(cut(three, 'blank')).toEqual([824, 624])
  })

  it('no-sew wrap 600 x 400 x 100, laps 60: 920 x 1060', () =>
    expect(cut(cover(600, 400, 100, { kind: 'no-sew-wrap', closure: CLOSURES.fixed.usual }), 'blank')).toEqual([
      920, 1060,
    ]))

  it('liner of a knife-edge 4 % larger: 582.4 + 145.6 and seams', () => {
    const c = cover(560, 480, 140, {
      construction: { kind: 'liner', of: 'knife-edge', largerShare: 0.04 },
      closure: CLOSURES['sewn-shut'].usual,
    })
    expect(cut(c, 'top-plate')[0]).toBe(752)
    expect(panelOf(c, 'top-plate').cloth).toBe('liner')
  })
})

describe('closures and piping worked by hand', () => {
  it('zip in the seam of the bottom plate: 746.7 + 2 x 117 round the back; there plate and boxing are cut 8 beyond the stitching, elsewhere 12', () => {
    const c = cover(746.7, 468, 75, { closure: CLOSURES['zip-seam'].usual })
    expect(c.closures[0]!.lengthMm.value).toBeCloseTo(980.7, 6)
    // From the outlines: rays out of the sewing line 60 from the back corner and 200 from it.
    const bottom = panelOf(c, 'bottom-plate')
    const cutAt = (panel: typeof bottom, x: number, y: number, way: 1 | -1) =>
      Math.min(
        ...cutOutline(panel).flatMap((v, i, all) => {
          const next = all[(i + 1) % all.length]!
          const isCrossed = (v.y - y) * (next.y - y) <= 0 && Math.abs(next.y - v.y) > 1e-9 && (v.x - x) * way >= -1e-9
          return isCrossed ? [Math.abs(v.x + ((next.x - v.x) * (y - v.y)) / (next.y - v.y) - x)] : []
        }),
      )
    expect([cutAt(bottom, 0, 468 - 60, -1), cutAt(bottom, 0, 468 - 200, -1)]).toEqual([
      expect.closeTo(8, 6),
      expect.closeTo(12, 6),
    ])
    expect(cut(c, 'boxing-back')[1]).toBeCloseTo(75 + 12 + 8, 6)
    expect(bottom.edges.filter((e) => e.treatment === 'zip').map((e) => e.name)).toEqual([
      'left, zip',
      'back',
      'right, zip',
    ])
  })

  it('a zip that shows 6: both halves finish (80 − 6) ÷ 2 and are cut 37 + 12 + 22; together with what shows they make 80', () => {
    const c = cover(700, 500, 80, {
      closure: { kind: 'zip-gusset', side: 'back', lapped: false, pocketMm: 0, showsMm: 6 },
    })
    expect(working(c, 'gusset-upper')[1]).toBe('37 + 22 + 12 = 71 mm cut')
    expect(sayWorking(panelOf(c, 'gusset-lower').figures.finishedHeight, 'mm')).toBe('(80 − 6) ÷ 2 = 37 mm net')
    expect(checkCover(c).flatMap((f) => f.faults)).toEqual([])
  })

  it('a pocket of 75 is cut longer at both ends of the boxing, and finishes 35', () => {
    const c = cover(700, 500, 80, {
      construction: { kind: 'boxed', boxing: 'wrap' },
      closure: { kind: 'zip-gusset', side: 'back', lapped: false, pocketMm: 75 },
    })
    const plain = cover(700, 500, 80, { construction: { kind: 'boxed', boxing: 'wrap' } })
    expect(cut(c, 'boxing')[0]! - cut(plain, 'boxing')[0]!).toBe(150)
    expect(figureOf(c, 'cover.pocketFold').value).toBe(35)
  })

  it('unequal halves of a covered zip add up to the thickness', () => {
    const c = cover(700, 500, 80, { closure: { kind: 'zip-gusset', side: 'back', lapped: true, pocketMm: 0 } })
    const [upper, lower] = ['gusset-upper', 'gusset-lower'].map((id) => panelOf(c, id).figures.finishedHeight.value)
    expect(upper! + lower!).toBeCloseTo(80, 9)
    expect(upper).toBeGreaterThan(lower!)
  })

  it('snaps on a wrap 450 wide, no more than 75 apart: 25 from the ends, six gaps of 66.7, one datum', () => {
    const c = cover(450, 400, 60, {
      kind: 'wrapped-tube',
      closure: { kind: 'snaps', spacingMm: 75, lapMm: 26, side: 'back' },
    })
    expect(c.closures[0]!.places.map((p) => Number(p.toFixed(1)))).toEqual([25, 91.7, 158.3, 225, 291.7, 358.3, 425])
    expect(c.closures[0]!.fittings[0]!.amount.value).toBe(7)
  })

  it('cord 6: 42.8, up to 43; thick cloth 1 mm: pi x 8 + 24 = 49.1; flat showing 6: 36', () => {
    const strip = (piping: MakeUp['piping']) => cover(700, 500, 80, { piping }).piping!.stripWidth!.value
    expect(strip({ ...USUAL_PIPING, cordMm: 6 })).toBe(43)
    expect(strip({ ...USUAL_PIPING, cordMm: 6, clothMm: 1 })).toBe(50)
    expect(strip({ kind: 'flat', rows: 'top', sides: ['front'], showMm: 6, cut: 'across' })).toBe(36)
  })

  it('piping on the front and the right alone is one open run: 700 + 500 + 2 x 40', () => {
    const { groups } = cover(700, 500, 80, {
      piping: { ...USUAL_PIPING, rows: 'top', sides: ['front', 'right'] },
    }).piping!
    expect(groups.map((g) => [g.isClosed, g.length.value])).toEqual([[false, 1280]])
    const apart = cover(700, 500, 80, { piping: { ...USUAL_PIPING, rows: 'top', sides: ['front', 'back'] } }).piping!
    expect(apart.groups.map((g) => [g.count, g.length.value])).toEqual([[2, 780]])
  })

  it('bias strips 43 wide from cloth 1370: 1937 long each, every 60.8 of the roll; both methods', () => {
    const ways = biasWays(9000, 43, 1370, 12)
    expect(Math.round(ways.diagonal.value)).toBe(1937)
    expect(Number(ways.every.value.toFixed(1))).toBe(60.8)
    // (9000 - 33.9) / (1937.5 - 33.9) = 4.7
    expect(ways.ways.map((w) => [w.method, w.strips.value])).toEqual([
      ['cross-strips', 5],
      ['tube', 1],
    ])
    expect(ways.best.wasteShare).toBe(Math.min(...ways.ways.map((w) => w.wasteShare)))
    expect(ways.ways[1]!.roll.value).toBeCloseTo((9000 * 43) / 1346 + 24 + 43, 6)
  })

  it('round corners of 60 on 746.7 x 468 take 103.0 off the perimeter', async () => {
    const { newSeat } = await import('../../job/index.ts')
    const { cushionsOf } = await import('../../seat/index.ts')
    const seat = {
      ...newSeat('singles', 746.7, 468, 75, 1),
      corners: Object.fromEntries(
        ['near left', 'near right', 'far left', 'far right'].map((c) => [c, { kind: 'round' as const, radiusMm: 60 }]),
      ),
    }
    const found = cushionsOf(seat)
    if (!found.ok) throw new Error('no cushion')
    const square = cover(746.7, 468, 75, {}).perimeter.value
    expect(square - coverOf(found.value.designs[0]!.solid).perimeter.value).toBeCloseTo(8 * 60 - 2 * Math.PI * 60, 1)
    expect(8 * 60 - 2 * Math.PI * 60).toBeCloseTo(103, 0)
  })
})

describe('buttons, ties and trims by hand', () => {
  const trims = cover(600, 400, 80, {}) && {
    ties: null,
    handles: null,
    vents: null,
    grip: { kind: 'none' as const },
    buttons: null,
    finishing: 'none' as const,
    trimReserveMm: 0,
  }

  it('two rows of three, 100 from the edge, pulled 20: each span 200 takes 203.96; the plate is 7.9 wider', () => {
    const c = cover(600, 400, 80, {
      trims: { ...trims, buttons: { rows: 2, across: 3, layout: 'even', marginMm: 100, diameterMm: 22, depthMm: 20 } },
    })
    const wider = 2 * (Math.sqrt(200 ** 2 + 4 * 20 ** 2) - 200)
    expect(cut(c, 'top-plate')[0]).toBeCloseTo(600 + 24 + wider, 1)
    expect(
      panelOf(c, 'top-plate')
        .marks.filter((m) => m.kind === 'button')
        .map((m) => m.path[0]),
    ).toEqual([
      { x: 100, y: 100 },
      { x: 300, y: 100 },
      { x: 500, y: 100 },
      { x: 100, y: 300 },
      { x: 300, y: 300 },
      { x: 500, y: 300 },
    ])
    // 6 places, a button on each face; twine 2 x (80 + 300), doubled.
    expect(c.fittings.map((f) => f.amount.value)).toEqual([12, 6 * 2 * 2 * 380])
    // The cloth that covers them is cut with the rest: twelve squares of 44.
    expect([cut(c, 'button-disc'), panelOf(c, 'button-disc').times]).toEqual([[44, 44], 12])
    // Marks lie where the cloth dips: margins as they are, spans as long as the cloth between them.
    const span = Math.sqrt(200 ** 2 + 4 * 20 ** 2)
    const deep = Math.sqrt(200 ** 2 + 4 * 20 ** 2)
    expect(marksOnPiece(panelOf(c, 'top-plate')).map((m) => [m.path[0]!.x, m.path[0]!.y])).toEqual(
      [100, 100 + deep].flatMap((y) =>
        [100, 100 + span, 100 + 2 * span].map((x) => [expect.closeTo(x, 9), expect.closeTo(y, 9)]),
      ),
    )
  })

  it('staggered rows stand between: 3, 2, 3', () => {
    const c = cover(600, 400, 80, {
      trims: {
        ...trims,
        buttons: { rows: 3, across: 3, layout: 'staggered', marginMm: 100, diameterMm: 22, depthMm: 0 },
      },
    })
    const xs = panelOf(c, 'top-plate').marks.map((m) => m.path[0]!.x)
    expect(xs).toEqual([100, 300, 500, 200, 400, 100, 300, 500])
  })

  it('ties 15 wide, tails 200: folded they are cut 60 wide, caught in the middle 424 long', () => {
    const c = cover(600, 400, 80, {
      trims: {
        ...trims,
        ties: {
          places: [{ at: 'edge', row: 'foot', side: 'back', count: 2 }],
          finishedMm: 15,
          lengthMm: 200,
          way: 'folded',
          caught: 'at-the-middle',
        },
      },
    })
    expect([panelOf(c, 'tie').times, ...cut(c, 'tie')]).toEqual([2, 424, 60])
    const turned = cover(600, 400, 80, {
      trims: {
        ...trims,
        ties: {
          places: [{ at: 'edge', row: 'foot', side: 'back', count: 2 }],
          finishedMm: 15,
          lengthMm: 200,
          way: 'turned-out',
          caught: 'at-an-end',
        },
      },
    })
    expect([panelOf(turned, 'tie').times, ...cut(turned, 'tie')]).toEqual([4, 224, 54])
  })

  it('a reserve of 25 is left on one end of each strip, and on no plate', () => {
    const c = cover(600, 400, 80, { trims: { ...trims, trimReserveMm: 25 } })
    expect(cut(c, 'boxing-front')).toEqual([649, 104])
    expect(cut(c, 'top-plate')).toEqual([624, 424])
  })
})
