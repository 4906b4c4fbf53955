import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import { PDFDocument } from 'pdf-lib'
import { expect, test } from './own-shop.ts'
import { pick } from './steps.ts'

/** What paper of a size leaves between margins of a centimetre, in CSS pixels: A4 upright, Letter upright, A4 flat. */
const PAPERS = [
  ['A4', 718, false],
  ['Letter', 740, false],
  ['A4', 1046, true],
] as const

const openTicket = async (page: Page, ticket: string, station: string) => {
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; ticket: string }[]
  await page.goto(`/jobs/${jobs.find((j) => j.ticket === ticket)!.id}/${station}`)
}
/** Nothing runs over the right margin, forms and buttons are gone, and so many pages come out. */
async function onPaper(page: Page, most: number): Promise<void> {
  for (const [format, width, landscape] of PAPERS) {
    await page.setViewportSize({ width, height: 1000 })
    await page.emulateMedia({ media: 'print' })
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
    for (const control of await page.locator('.plain-button, input, textarea, .el-select').all())
      await expect(control).toBeHidden()
    const pdf = await PDFDocument.load(await page.pdf({ format, landscape, margin: ONE_CM }))
    expect(pdf.getPageCount()).toBeLessThanOrEqual(most)
    await page.emulateMedia({ media: 'screen' })
  }
  await page.setViewportSize({ width: 1280, height: 800 })
}
const ONE_CM = { top: '1cm', bottom: '1cm', left: '1cm', right: '1cm' }

test.beforeEach(({ page }) => page.addInitScript(() => (window.print = () => {})))

test('the work order has a picture for each group of steps, ticket, customer and day', async ({ page }) => {
  await openTicket(page, 'SL-02', 'make')
  await page.getByRole('button', { name: 'Print', exact: true }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: /SL-02 Keepers' bench: work order/ })).toBeVisible()
  await expect(page.getByText(/Skerrow Light Trust · due .* · revision/)).toBeVisible()
  for (const picture of [
    'The block from above',
    'The lay on Lamp-room ticking',
    /seams by letter/,
    'The cushion, made up',
  ])
    await expect(page.getByRole('img', { name: picture }).last()).toBeVisible()
  await page.emulateMedia({ media: 'screen' })
  await onPaper(page, 6)
})

test('the bench card is one sheet: picture, sizes, letters, code', async ({ page }) => {
  for (const ticket of ['SL-02', 'SL-03', 'SL-06']) {
    await openTicket(page, ticket, 'make')
    await page.getByRole('button', { name: 'Bench card' }).click()
    await page.emulateMedia({ media: 'print' })
    await expect(page.getByRole('heading', { name: new RegExp(ticket) }).last()).toBeVisible()
    await expect(page.getByText(/finishes .* seam allowance|finishes .* block/).last()).toBeVisible()
    await expect(page.getByRole('img', { name: /^Code for/ }).last()).toBeVisible()
    await page.emulateMedia({ media: 'screen' })
    await onPaper(page, ticket === 'SL-02' ? 1 : 2)
  }
})

for (const [name, station, most] of [
  ['the lists', 'lists', 8],
  ['the quote', 'bill', 4],
] as const)
  test(`${name} fit on every paper`, async ({ page }) => {
    await openTicket(page, 'SL-02', station)
    await expect(page.getByText('Lamp-room ticking').first()).toBeAttached()
    await onPaper(page, most)
  })

test('labels go onto a gummed sheet from the first that is left', async ({ page }) => {
  await openTicket(page, 'SL-07', 'lists')
  await expect(page.getByText('24 labels on 3 sheets.')).toBeVisible()
  await pick(page, 'Sheet of labels', '21 on A4, 63.5 x 38.1 mm')
  await page.getByRole('textbox', { name: 'First label that is left' }).fill('19')
  // Three on the first sheet, 21 on the next.
  await expect(page.getByText('24 labels on 2 sheets.')).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Labels as PDF' }).click(),
  ])
  const pdf = await PDFDocument.load(readFileSync(await file.path()))
  expect(pdf.getPageCount()).toBe(2)
})
