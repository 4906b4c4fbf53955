import { PDFDocument } from 'pdf-lib'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { areaOf, at, bulgeOfRise, distance, rectangle, vertex, type Outline } from '../outline/index.ts'
import { fewestPages, outlineFaultWords, PAGES, readOutlineFile } from './index.ts'
import { overlapMarks, templatePdf } from './template-pdf.ts'
import { MARGIN_MM, OVERLAP_MM, tileTemplate } from './template-tiles.ts'

/** A DXF from entities, each a list of group codes and values. */
const dxf = (entities: readonly (readonly (string | number)[])[], units?: number) =>
  [
    ...(units === undefined ? [] : ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', units, '0', 'ENDSEC']),
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...entities.flat(),
    '0',
    'ENDSEC',
    '0',
    'EOF',
    '',
  ].join('\n')
const line = (x1: number, y1: number, x2: number, y2: number) => [0, 'LINE', 8, 0, 10, x1, 20, y1, 11, x2, 21, y2]
const polyline = (points: readonly (readonly number[])[], closed: 0 | 1) => [
  0,
  'LWPOLYLINE',
  8,
  0,
  90,
  points.length,
  70,
  closed,
  ...points.flatMap(([x, y, bulge]) => [10, x!, 20, y!, ...(bulge === undefined ? [] : [42, bulge])]),
]
const read = (name: string, text: string) => {
  const found = readOutlineFile(name, text)
  if (!found.ok) throw new Error(outlineFaultWords(found.error))
  const { points, report } = found.value
  const outline: Outline = points.map((p, i) =>
    vertex(at(p.x, p.y), bulgeOfRise(distance(p, points[(i + 1) % points.length]!), p.riseMm)),
  )
  return { outline, report: report.join('; ') }
}
const fault = (name: string, text: string) => {
  const found = readOutlineFile(name, text)
  return found.ok ? 'read' : found.error.code
}

describe('DXF', () => {
  it('a closed polyline in millimetres, its arcs kept', () => {
    const { outline, report } = read(
      'lid.dxf',
      dxf(
        [
          polyline(
            [
              [0, 0],
              [600, 0],
              [600, 500, 1],
              [0, 500],
            ],
            1,
          ),
        ],
        4,
      ),
    )
    expect(report).toBe('drawn in millimetres')
    expect(areaOf(outline)).toBeCloseTo(300_000 + (Math.PI * 300 * 300) / 2, 1)
  })

  it('in inches', () =>
    expect(
      areaOf(
        read(
          'lid.dxf',
          dxf(
            [
              polyline(
                [
                  [0, 0],
                  [20, 0],
                  [20, 10],
                  [0, 10],
                ],
                1,
              ),
            ],
            1,
          ),
        ).outline,
      ),
    ).toBeCloseTo(508 * 254, 1))

  it('loose lines and an arc in any order and direction are joined', () => {
    const arc = [0, 'ARC', 8, 0, 10, 300, 20, 500, 40, 300, 50, 0, 51, 180]
    const { outline, report } = read(
      'lid.dxf',
      dxf([line(600, 500, 600, 0), arc, line(0, 0, 600, 0), line(0, 500, 0, 0.3)]),
    )
    expect(report).toContain('names no unit: taken as millimetres')
    expect(Math.abs(areaOf(outline) - (300_000 + (Math.PI * 300 * 300) / 2))).toBeLessThan(200)
  })

  it('the largest of several loops is taken, and what was left out is said', () => {
    const { outline, report } = read(
      'lid.dxf',
      dxf(
        [
          [0, 'CIRCLE', 8, 0, 10, 300, 20, 250, 40, 50],
          polyline(
            [
              [0, 0],
              [600, 0],
              [600, 500],
              [0, 500],
            ],
            1,
          ),
          line(700, 0, 800, 0),
          [0, 'TEXT', 8, 0, 10, 0, 20, 0, 40, 10, 1, 'lid'],
        ],
        4,
      ),
    )
    expect(areaOf(outline)).toBe(300_000)
    expect(report).toMatch(
      /1 of TEXT not read; 1 smaller closed line was left out.*; 1 line that do not close were left out/,
    )
  })

  it('a spline becomes short edges: a quadratic over 600 rising 100 at its middle has 2/3 of 600 x 100', () => {
    const spline = [
      0,
      'SPLINE',
      8,
      0,
      70,
      8,
      71,
      2,
      72,
      6,
      73,
      3,
      ...[0, 0, 0, 1, 1, 1].flatMap((k) => [40, k]),
      10,
      600,
      20,
      500,
      30,
      0,
      10,
      300,
      20,
      700,
      30,
      0,
      10,
      0,
      20,
      500,
      30,
      0,
    ]
    const { outline, report } = read(
      'lid.dxf',
      dxf([line(0, 0, 600, 0), line(600, 0, 600, 500), spline, line(0, 500, 0, 0)], 4),
    )
    expect(report).toContain('1 spline or ellipse became short straight edges')
    expect(Math.abs(areaOf(outline) - (300_000 + (2 / 3) * 600 * 100))).toBeLessThan(100)
  })

  it.each<[string, string, string]>([
    ['nothing closed', dxf([line(0, 0, 600, 0), line(600, 0, 600, 500)], 4), 'nothing-closed'],
    ['nothing drawn', dxf([], 4), 'nothing-drawn'],
    ['no drawing at all', 'hello', 'not-readable'],
    [
      'a self-crossing outline',
      dxf(
        [
          polyline(
            [
              [0, 0],
              [600, 500],
              [600, 0],
              [0, 400],
            ],
            1,
          ),
        ],
        4,
      ),
      'crosses-itself',
    ],
    [
      'an outline of 3 mm',
      dxf(
        [
          polyline(
            [
              [0, 0],
              [3, 0],
              [3, 3],
            ],
            1,
          ),
        ],
        4,
      ),
      'size',
    ],
    [
      'an outline of 60 m',
      dxf(
        [
          polyline(
            [
              [0, 0],
              [60, 0],
              [60, 30],
            ],
            1,
          ),
        ],
        6,
      ),
      'size',
    ],
  ])('%s is refused', (_name, text, code) => expect(fault('lid.dxf', text)).toBe(code))
})

describe('SVG', () => {
  const svg = (body: string, head = 'width="600mm" height="500mm" viewBox="0 0 600 500"') =>
    `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${body}</svg>`

  it('a rectangle in millimetres', () => {
    const { outline, report } = read('lid.svg', svg('<rect x="10" y="20" width="400" height="300"/>'))
    expect(areaOf(outline)).toBeCloseTo(120_000, 3)
    expect(report).toBe('drawn 600 mm wide (600 mm)')
  })

  it('physical units: a view box of 1000 on 20 in', () =>
    expect(
      areaOf(
        read('lid.svg', svg('<rect width="500" height="250"/>', 'width="20in" height="20in" viewBox="0 0 1000 1000"'))
          .outline,
      ),
    ).toBeCloseTo(254 * 127, 2))

  it('no size at all: pixels, and a word about it', () => {
    const { outline, report } = read('lid.svg', svg('<rect width="960" height="480"/>', ''))
    expect(areaOf(outline)).toBeCloseTo(254 * 127, 2)
    expect(report).toContain('names no physical size')
  })

  it('nested transforms: turned, scaled, moved', () => {
    const { outline } = read(
      'lid.svg',
      svg(
        '<g transform="translate(300 100) rotate(30)"><g transform="scale(2 0.5)"><path d="M0 0h100v200h-100z"/></g></g>',
      ),
    )
    expect(areaOf(outline)).toBeCloseTo(200 * 100, 0)
  })

  it('circular arcs stay arcs; curves become short edges', () => {
    const { outline } = read('lid.svg', svg('<path d="M100 100h300a100 100 0 0 1 0 200h-300z"/>'))
    expect(outline.filter((v) => v.bulge !== undefined)).toHaveLength(1)
    expect(areaOf(outline)).toBeCloseTo(60_000 + (Math.PI * 10_000) / 2, 1)
    const bent = read('lid.svg', svg('<path d="M0 300c0 -400 400 -400 400 0z"/>'))
    expect(bent.report).toContain('1 curve became short straight edges')
    expect(Math.abs(areaOf(bent.outline) - 0.6 * 400 * 400)).toBeLessThan(300)
  })

  it('an ellipse and a polygon', () => {
    expect(
      Math.abs(areaOf(read('a.svg', svg('<ellipse cx="300" cy="250" rx="200" ry="100"/>')).outline) - Math.PI * 20_000),
    ).toBeLessThan(100)
    expect(areaOf(read('a.svg', svg('<polygon points="0,0 400,0 400,300"/>')).outline)).toBeCloseTo(60_000, 2)
  })

  it.each<[string, string, string]>([
    ['not XML', 'M0 0h100', 'not-readable'],
    ['an unclosed tag', '<svg><path d="M0 0h1"></svg>', 'not-readable'],
    ['text alone', svg('<text>lid</text>'), 'nothing-drawn'],
    ['an open path', svg('<path d="M0 0h300v200"/>'), 'nothing-closed'],
  ])('%s is refused', (_name, text, code) => expect(fault('lid.svg', text)).toBe(code))

  it('other files are not guessed at', () => expect(fault('lid.bmp', '')).toBe('unknown-kind'))
})

describe('the paper template', () => {
  it('tiles cover the drawing, neighbours share their overlap, marks lie on each other', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 2500 }),
        fc.integer({ min: 50, max: 1500 }),
        fc.constantFrom(...PAGES),
        (w, h, page) => {
          const tiling = tileTemplate([rectangle(w, h)], page)
          const last = tiling.tiles.at(-1)!.window
          expect(last.maxX).toBeGreaterThanOrEqual(w)
          expect(last.maxY).toBeGreaterThanOrEqual(h)
          const [first] = tiling.tiles
          if (tiling.columns > 1) {
            const next = tiling.tiles[1]!
            expect(first!.window.maxX - next.window.minX).toBeCloseTo(OVERLAP_MM, 9)
            const marks = (t: typeof next) => overlapMarks(tiling, t).map((m) => `${m.x.toFixed(3)} ${m.y.toFixed(3)}`)
            expect(marks(first!).filter((m) => marks(next).includes(m))).toHaveLength(2)
          }
          expect(first!.window.maxX - first!.window.minX).toBeCloseTo(page.widthMm - 2 * MARGIN_MM, 9)
        },
      ),
    )
  })

  it('pages wholly outside the outline are left out, those inside stay', () => {
    const triangle = [at(0, 0), at(1000, 0), at(0, 1000)]
    const { tiles, columns, rows } = tileTemplate([triangle], PAGES[0]!)
    expect(tiles.length).toBeLessThan(columns * rows)
    expect(tiles.some((t) => t.label === 'A1')).toBe(true)
    expect(tiles.some((t) => t.window.minX + t.window.minY > 1000)).toBe(false)
    // Every place of the outline is on some page.
    for (let k = 0; k <= 100; k++)
      expect(
        tiles.some(
          ({ window: w }) => w.minX <= k * 10 && k * 10 <= w.maxX && w.minY <= 1000 - k * 10 && 1000 - k * 10 <= w.maxY,
        ),
      ).toBe(true)
  })

  it('is turned where that saves pages: a bolster of 520 x 100 upright on two sheets of A4, not lying on three', () => {
    // 186 x 273 mm of a sheet can be printed; 15 mm are shared: 2 x 171 + 15 < 520 < 2 x 258 + 15.
    const bolster = rectangle(520, 100)
    expect(tileTemplate([bolster], PAGES[0]!).tiles).toHaveLength(3)
    const { angleRad, tiling } = fewestPages({ foot: bolster, top: null }, PAGES[0]!)
    expect([angleRad, tiling.tiles.length]).toEqual([Math.PI / 2, 2])
  })

  it('turned or not, every place of the outline lies on a page, and no more pages are taken than as it is drawn', () => {
    const corner = fc.record({ x: fc.integer({ min: 0, max: 900 }), y: fc.integer({ min: 0, max: 900 }) })
    fc.assert(
      fc.property(fc.tuple(corner, corner, corner), fc.constantFrom(...PAGES), ([a, b, c], page) => {
        const area = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y)
        fc.pre(Math.abs(area) > 5000)
        const foot = area > 0 ? [a, b, c] : [a, c, b]
        const { angleRad, tiling } = fewestPages({ foot, top: null }, page)
        expect(tiling.tiles.length).toBeLessThanOrEqual(tileTemplate([foot], page).tiles.length)
        for (const [i, p] of foot.entries())
          for (const share of [0, 0.21, 0.5, 0.83]) {
            const q = foot[(i + 1) % 3]!
            const [x, y] = [p.x + (q.x - p.x) * share, p.y + (q.y - p.y) * share]
            const [u, v] = [
              x * Math.cos(angleRad) - y * Math.sin(angleRad),
              x * Math.sin(angleRad) + y * Math.cos(angleRad),
            ]
            const isOn = tiling.tiles.some(
              ({ window: w }) => w.minX - 0.01 <= u && u <= w.maxX + 0.01 && w.minY - 0.01 <= v && v <= w.maxY + 0.01,
            )
            expect(isOn).toBe(true)
          }
      }),
      { numRuns: 40 },
    )
  })

  it('is a PDF of one page for the map and one for each tile, at the size of the paper, lines at true size', async () => {
    const page = PAGES[0]!
    const template = { title: 'SL-02 cushion', foot: rectangle(300, 400), top: null, labels: [], notes: ['net'] }
    const bytes = await templatePdf(template, page)
    const pdf = await PDFDocument.load(bytes)
    expect(pdf.getPageCount()).toBe(1 + tileTemplate([template.foot], page).tiles.length)
    const { width, height } = pdf.getPage(1).getSize()
    expect([width, height].map((pt) => Math.round((pt / 72) * 25.4))).toEqual([210, 297])
    const text = await pageText(bytes, 1)
    // The foot of the first tile starts in its margin: 12 mm is 34.016 pt; 300 mm on is 884.4 pt.
    expect(text).toMatch(/34\.01\d+ 34\.01\d+ m/)
    expect(text).toMatch(/884\.40\d* 34\.01\d+ l/)
    const first = await pageText(bytes, 0)
    // The test square: 100 mm is 283.46 pt.
    expect(first).toMatch(/283\.46\d+/)
  })
})

/** The drawing instructions of a page, unpacked. */
async function pageText(bytes: Uint8Array, index: number): Promise<string> {
  const { decodePDFRawStream, PDFArray, PDFRawStream } = await import('pdf-lib')
  const pdf = await PDFDocument.load(bytes)
  const contents = pdf.getPage(index).node.Contents()
  const streams = contents instanceof PDFArray ? contents.asArray().map((ref) => pdf.context.lookup(ref)) : [contents]
  return streams
    .map((s) => (s instanceof PDFRawStream ? new TextDecoder('latin1').decode(decodePDFRawStream(s).decode()) : ''))
    .join('\n')
}

describe('a drawing that would keep the parser for ever', () => {
  const dxf = (...lines: string[]) => `0\nSECTION\n2\nENTITIES\n${lines.join('\n')}\n0\nENDSEC\n0\nEOF\n`
  it.each<[string, string, RegExp]>([
    ['a polyline without its end', dxf('0', 'POLYLINE', '8', '0', '0', 'VERTEX', '10', '0', '20', '0'), /has no end/],
    [
      'a polyline that stops with the file',
      ['0', 'SECTION', '2', 'ENTITIES', '0', 'POLYLINE', '8', '0'].join('\n'),
      /has no end/,
    ],
    [
      'a thousand million corners, and none there',
      dxf('0', 'LWPOLYLINE', '8', '0', '90', '1000000000', '70', '1'),
      /claims more corners/,
    ],
    ['corners without end', dxf('0\nVERTEX\n'.repeat(100_002).trim()), /more than 100000 corners/],
  ])('%s is refused in words, at once', (_name, text, why) => {
    const read = readOutlineFile('seat.dxf', text)
    expect(!read.ok && read.error.code === 'not-readable' && read.error.why).toMatch(why)
  })
  it('a polyline with its end is read', () => {
    const corner = (x: number, y: number) => ['0', 'VERTEX', '8', '0', '10', String(x), '20', String(y)]
    const read = readOutlineFile(
      'seat.dxf',
      dxf(
        '0',
        'POLYLINE',
        '8',
        '0',
        '70',
        '1',
        ...corner(0, 0),
        ...corner(600, 0),
        ...corner(600, 500),
        ...corner(0, 500),
        '0',
        'SEQEND',
      ),
    )
    expect(read.ok && read.value.points.length).toBe(4)
  })
})
