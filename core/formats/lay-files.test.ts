import DxfParser from 'dxf-parser'
import { XMLParser } from 'fast-xml-parser'
import Papa from 'papaparse'
import { PDFDocument } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { solveLay } from '../lay/index.ts'
import { areaOf, flatten } from '../outline/index.ts'
import { demoParts } from '../demo/index.ts'
import { worked } from '../testing/jobs.ts'
import { cutListCsv, layDrawing, layDxf, layPagePdf, layRollPdf, laySvg, PAGES } from './index.ts'

/** Made with one library, read with another: rounded corners and all (SL-01 is a ring, SL-04 has cut corners). */
const drawn = (job: PartJob) => {
  const plan = worked(job)
  const own = plan.cloth.lays[0]!
  const solved = solveLay(own.problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
  if (!solved.ok) throw new Error(solved.error.code)
  return { plan, drawing: layDrawing(job.ticket, own, { ...solved.value.lay, seconds: 0 }, 4) }
}
const { plan, drawing } = drawn(demoParts()[0]!)

describe('a lay as DXF, opened by an independent reader', () => {
  it('in millimetres, every piece on CUT with its area, its sewing line inside, notches and names', async () => {
    const file = new DxfParser().parseSync(await layDxf(drawing))!
    expect(file.header['$INSUNITS']).toBe(4)
    const on = (layer: string) => file.entities.filter((e) => e.layer === layer)
    expect(on('CUT')).toHaveLength(drawing.pieces.length)
    expect(on('NOTCH')).toHaveLength(drawing.pieces.reduce((sum, p) => sum + p.notches.length, 0))
    expect((on('TEXT') as unknown as { text: string }[]).map((t) => t.text)).toEqual(drawing.pieces.map((p) => p.name))
    const cuts = on('CUT') as unknown as { vertices: { x: number; y: number; bulge?: number }[]; shape: boolean }[]
    cuts.forEach((c, i) => {
      expect(c.shape).toBe(true)
      const outline = c.vertices.map((v) => ({ x: v.x, y: v.y, ...(v.bulge ? { bulge: v.bulge } : {}) }))
      expect(Math.abs(areaOf(outline)) / Math.abs(areaOf(drawing.pieces[i]!.cut))).toBeCloseTo(1, 4)
    })
    const layers = (file.tables as unknown as { layer: { layers: Record<string, unknown> } }).layer.layers
    expect(Object.keys(layers)).toEqual(expect.arrayContaining(['CUT', 'SEW', 'NOTCH', 'MARK', 'TEXT']))
  })
})

describe('a lay as SVG, opened by an independent reader', () => {
  it('at true size, with a group for each thing to do', () => {
    const { svg } = new XMLParser({ ignoreAttributes: false }).parse(laySvg(drawing)) as {
      svg: Record<string, unknown> & { g: Record<string, unknown>[] }
    }
    expect([svg['@_width'], svg['@_height']]).toEqual([
      `${drawing.widthMm}mm`,
      `${Number(drawing.lengthMm.toFixed(4))}mm`,
    ])
    expect(svg.g.map((g) => g['@_id'])).toEqual(['cut', 'sew', 'notch', 'mark', 'text'])
    expect(svg.g[0]!['path']).toHaveLength(drawing.pieces.length)
    expect((svg.g[0]!['path'] as Record<string, string>[]).some((p) => p['@_d']!.includes('A '))).toBe(true)
  })
  it('a name cannot break out of the file', () => {
    const odd = { ...drawing, title: '<script>&"' }
    expect(laySvg(odd)).not.toContain('<script>')
    expect(() => new XMLParser().parse(laySvg(odd), true)).not.toThrow()
  })
})

describe('a lay as PDF, opened again', () => {
  it('on one page to look at', async () => {
    const pdf = await PDFDocument.load(await layPagePdf(drawing, PAGES[0]!))
    expect(pdf.getPageCount()).toBe(1)
    expect(pdf.getPage(0).getSize()).toEqual({
      width: expect.closeTo((297 / 25.4) * 72, 3),
      height: expect.closeTo((210 / 25.4) * 72, 3),
    })
  })
  it('roll wide at true size; what is longer than a page may be goes on on the next', async () => {
    const pdf = await PDFDocument.load(await layRollPdf({ ...drawing, lengthMm: 6000 }))
    expect(pdf.getPages().map((p) => [p.getWidth(), p.getHeight()].map((v) => Math.round((v / 72) * 25.4)))).toEqual([
      [drawing.widthMm, 5080],
      [drawing.widthMm, 920],
    ])
  })
})

describe('pieces as drawn', () => {
  it('lie on the cloth, their sewing line inside their cut line', () => {
    for (const p of drawing.pieces) {
      const flat = flatten(p.cut, 0.1)
      expect(Math.min(...flat.map((q) => q.x))).toBeGreaterThanOrEqual(-0.05)
      expect(Math.max(...flat.map((q) => q.y))).toBeLessThanOrEqual(drawing.lengthMm + 0.05)
      if (p.sew) expect(Math.abs(areaOf(p.sew))).toBeLessThan(Math.abs(areaOf(p.cut)))
    }
  })
  it('notches are 4 mm deep, from the cut edge inwards', () => {
    const depths = drawing.pieces.flatMap((p) => p.notches.map(([a, b]) => Math.hypot(a.x - b.x, a.y - b.y)))
    expect(depths.length).toBeGreaterThan(100)
    expect(Math.max(...depths)).toBeLessThanOrEqual(4 + 1e-9)
  })
})

it('the cut list as a spreadsheet: a line for each, sizes in the unit of the job', () => {
  const job = demoParts()[0]!
  const { data } = Papa.parse<Record<string, string>>(cutListCsv(plan.cutList, { ...job, units: 'inch-8' }), {
    header: true,
  })
  expect(data).toHaveLength(plan.cutList.length)
  expect(Object.keys(data[0]!)).toContain('cut width in')
  expect(data.every((row) => Number(row['count']) > 0)).toBe(true)
})
