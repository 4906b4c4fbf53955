import type { PDFRawStream } from 'pdf-lib'
import { decodePDFRawStream, PDFArray, PDFDocument, type PDFPage } from 'pdf-lib'
import { describe, expect, it } from 'vitest'
import { LABEL_SHEETS, labelPdf, labelsOn } from './index.ts'
import { labelAt } from './label-sheets.ts'

const MM = 25.4 / 72
const label = (n: number) => ({
  head: `SL-02 cover ${n}`,
  lines: ['1117.5 x 468 x 75 mm net', 'boxed, tern check', '', "Keepers' bench", 'wash cool'],
  address: `http://shop.example:3000/jobs/4025e6de-92ae-4b9c-b364-2988996cfe31/fit`,
})
const many = (count: number) => Array.from({ length: count }, (_, i) => label(i + 1))

/** Where words and dots stand on a page, mm from its top left corner, read from what is written in the file. */
function written(page: PDFPage) {
  const contents = page.node.Contents()
  const streams = contents instanceof PDFArray ? contents.asArray().map((r) => page.doc.context.lookup(r)) : [contents]
  const text = streams
    .map((s) => new TextDecoder('latin1').decode(decodePDFRawStream(s as PDFRawStream).decode()))
    .join('\n')
  const high = page.getHeight() * MM
  const words = [...text.matchAll(/1 0 0 1 (\S+) (\S+) Tm\s*<([0-9A-Fa-f]*)> Tj/g)].map(([, x, y, hex]) => ({
    x: Number(x) * MM,
    y: high - Number(y) * MM,
    text: Buffer.from(hex!, 'hex').toString('latin1'),
  }))
  const dots = [...text.matchAll(/1 0 0 1 (\S+) (\S+) cm\s*(?:1 0 0 1 0 0 cm\s*)*0 0 m/g)].map(([, x, y]) => ({
    x: Number(x) * MM,
    y: high - Number(y) * MM,
  }))
  return { words, dots }
}
const pagesOf = async (bytes: Uint8Array) => (await PDFDocument.load(bytes)).getPages()

describe('sheets of labels', () => {
  it('21 on A4: three of 63.5 with 2.5 between are 195.5, so 7.25 is left at each side; 15.15 above', () => {
    const sheet = LABEL_SHEETS.find((s) => s.id === 'A4-3x7')!
    expect(sheet.leftMm).toBeCloseTo(7.25)
    expect(sheet.topMm).toBeCloseTo(15.15)
    expect(labelAt(sheet, 4)).toEqual({ leftMm: 7.25 + 66, topMm: expect.closeTo(15.15 + 38.1) })
  })

  it('all of them lie on their page and beside each other', () => {
    for (const sheet of LABEL_SHEETS) {
      const boxes = Array.from({ length: labelsOn(sheet) }, (_, i) => labelAt(sheet, i))
      for (const { leftMm, topMm } of boxes) {
        expect(leftMm, sheet.id).toBeGreaterThanOrEqual(-1e-9)
        expect(topMm, sheet.id).toBeGreaterThanOrEqual(-1e-9)
        expect(leftMm + sheet.widthMm).toBeLessThanOrEqual(sheet.page.widthMm + 1e-9)
        expect(topMm + sheet.heightMm).toBeLessThanOrEqual(sheet.page.heightMm + 1e-9)
      }
      boxes.forEach((a, i) =>
        boxes.slice(i + 1).forEach((b) => {
          const isBeside = Math.abs(a.leftMm - b.leftMm) >= sheet.widthMm - 1e-9
          expect(isBeside || Math.abs(a.topMm - b.topMm) >= sheet.heightMm - 1e-9, sheet.id).toBe(true)
        }),
      )
    }
  })

  it('words and codes stand within their labels, the used ones stay free', async () => {
    for (const sheet of LABEL_SHEETS) {
      const [page] = await pagesOf(await labelPdf(many(2), sheet, 1))
      const { words, dots } = written(page!)
      expect(words.map((w) => w.text).join(' '), sheet.id).toContain('SL-02 cover 1')
      expect(words.map((w) => w.text).join(' '), sheet.id).toContain('wash cool')
      expect(dots.length).toBeGreaterThan(400)
      const places = [1, 2].map((i) => labelAt(sheet, i))
      for (const { x, y } of [...words, ...dots])
        expect(
          places.some(
            ({ leftMm, topMm }) =>
              x >= leftMm + 2.9 &&
              x <= leftMm + sheet.widthMm - 3 &&
              y >= topMm + 2.9 &&
              y <= topMm + sheet.heightMm - 2,
          ),
          `${sheet.id}: ${x.toFixed(1)}, ${y.toFixed(1)}`,
        ).toBe(true)
    }
  })

  it('17 labels from the fifth of 21 fill the sheet; one more begins another', async () => {
    const sheet = LABEL_SHEETS.find((s) => s.id === 'A4-3x7')!
    expect(await pagesOf(await labelPdf(many(17), sheet, 4))).toHaveLength(1)
    const pages = await pagesOf(await labelPdf(many(18), sheet, 4))
    expect(pages).toHaveLength(2)
    expect(written(pages[1]!).words[0]!.text).toBe('SL-02 cover 18')
    expect(pages.every((p) => Math.abs(p.getWidth() * MM - 210) < 0.01)).toBe(true)
  })

  it('a word wider than its label is broken, what the fonts cannot write is marked, too many lines are left off', async () => {
    const sheet = LABEL_SHEETS.find((s) => s.id === 'Letter-3x10')!
    const long = { ...label(1), head: 'x'.repeat(120), lines: Array.from({ length: 40 }, (_, i) => `line ${i} ✓`) }
    const [page] = await pagesOf(await labelPdf([long], sheet, 0))
    const { words } = written(page!)
    expect(words[0]!.text).toMatch(/^x+$/)
    expect(words[0]!.text.length).toBeLessThan(120)
    expect(words.some((w) => w.text === 'line 0 ?')).toBe(true)
    expect(words.every((w) => w.y <= labelAt(sheet, 0).topMm + sheet.heightMm)).toBe(true)
  })
})
