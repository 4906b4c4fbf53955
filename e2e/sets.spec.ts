import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './own-shop.ts'
import { figure, keepLay, saved, start, station, typeLine } from './steps.ts'

const part = (page: Page, name: string) => page.locator('.part').filter({ hasText: name })

test('seats, backs and bolsters on one ticket, from one typed line to the bill', async ({ page }) => {
  await start(page, 'bench 2236 x 600 x 100 in 3')
  await typeLine(page, 'squeeze 2')
  await page.getByRole('button', { name: /^Add backs/ }).click()
  await page.getByRole('menuitem', { name: /Backs, one for each seat/ }).click()
  // As wide as a seat, (2236 + 4) / 3, and as many of them.
  await expect(figure(page, 'Cushion B width')).toContainText('746.7')
  await expect(part(page, 'Backs')).toContainText('3 cushions')
  await typeLine(page, 'width 700')
  await typeLine(page, 'part bolsters: seat 600 x 180 x 180 times 2')
  await expect(part(page, 'Bolsters')).toHaveAttribute('aria-current', 'true')
  await typeLine(page, 'makeup bolster')

  // Each part is looked at by its ticket, and opened by a second press.
  await part(page, 'Backs').click()
  await expect(figure(page, 'Cushion B width')).toContainText('700')
  await part(page, 'Backs').click()
  const dialog = page.getByRole('dialog', { name: 'Backs' })
  await expect(dialog.getByRole('radio', { name: 'on the same centres' })).toBeChecked()
  await dialog.getByLabel('Name').fill('Back cushions')
  await dialog.getByRole('button', { name: 'Done' }).click()
  await expect(part(page, 'Back cushions')).toBeVisible()

  // One lay for all of it.
  await station(page, 'Lay')
  for (const label of ['A1 top', 'B3 bottom', 'C2 body'])
    await expect(page.getByText(label, { exact: true }).first()).toBeVisible()
  await keepLay(page)

  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /^Top plate A/ })).toContainText('3')
  await expect(page.getByRole('row', { name: /^Top plate B/ })).toContainText('724')
  await page.getByRole('radiogroup', { name: 'Lists of' }).getByText('Bolsters').click()
  await expect(page.getByRole('row', { name: /^Top plate A/ })).toHaveCount(0)
  await expect(page.getByRole('row', { name: /^Body C/ })).toBeVisible()

  await station(page, 'Make')
  await expect(page.getByRole('button', { name: /Back cushions B: seam A/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /Prepare the Lamp-room ticking/ })).toHaveCount(1)

  await station(page, 'Fit')
  await part(page, 'Bolsters').click()
  await page.getByRole('button', { name: /^Cushion C2/ }).click()
  await page.getByRole('radiogroup', { name: 'It sits' }).getByText('right').click()

  await station(page, 'Bill')
  const paper = page.getByRole('article', { name: 'Quote for the customer' })
  for (const line of [
    /Seats: 3 cushions, 747 x 600 x 100/,
    /Back cushions: 3 cushions, 700 x 450 x 120/,
    /Bolsters: 2/,
  ])
    await expect(paper.getByRole('row', { name: line })).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(part(page, 'Bolsters')).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Page of the bill' }).getByText('Otherwise').click()
  await page.getByRole('button', { name: 'Lay and price them' }).click()
  await expect(page.getByRole('row', { name: /without back cushions/ })).toContainText('€', { timeout: 120_000 })

  // Taken out and had back.
  await station(page, 'Measure')
  await part(page, 'Bolsters').click()
  await part(page, 'Bolsters').click()
  await page.getByRole('button', { name: 'Take it out' }).click()
  await expect(part(page, 'Bolsters')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(part(page, 'Bolsters')).toBeVisible()
})

test('a whole set in one typed line, with words the line does not know, to its quote', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  // More is said of it than the history of a job holds.
  await typeLine(
    page,
    '3 seats 24 x 22 x 5 in, piped, 3 backs 24 x 18 x 6 in, piped, zip at the back, 2 bolsters 22 x 7 in, customer Mrs Tern due 18 december',
  )
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
  for (const name of ['Seats', 'Backs', 'Bolsters']) await expect(part(page, name)).toBeVisible()
  await saved(page)
  await typeLine(page, '6 in thick, waterproof')
  await page.getByRole('button', { name: /^thickness 6 in net; Note: waterproof$/ }).click()
  await expect(page.getByRole('textbox', { name: 'Thickness' }).first()).toHaveValue('6')
  await saved(page)
  await station(page, 'Bill')
  await expect(page.getByText('Seats: 3 cushions, 24 x 22 x 6 in')).toBeVisible()
  await expect(page.getByText(/^Bolsters: 2 cushions/)).toBeVisible()
})

test('the same in inches: chairs of which no two are alike, and their backs', async ({ page }) => {
  await start(page, 'seat 17 3/4 in x 17 in x 2 1/2 in')
  await typeLine(page, 'rows 17 3/4 x 17, 17 5/8 x 17 1/4, 17 3/4 x 17, 18 x 17')
  await expect(page.getByRole('textbox', { name: 'Row 2, width' })).toHaveValue('17 5/8')
  await page.getByRole('textbox', { name: 'Row 4, depth' }).fill('17 1/8')
  await page.getByRole('textbox', { name: 'Row 4, depth' }).press('Tab')
  await station(page, 'Pieces')
  // Rows 1 and 3 are one design of two.
  await expect(page.getByText('Cushion A, 2 of')).toBeVisible()
  await expect(page.getByText('Cushion C, 1 of')).toBeVisible()
  await station(page, 'Measure')
  await typeLine(page, 'part backs: seat 17 x 16 x 4 times 4')
  await expect(page.getByRole('button', { name: /^Cushion B width: 17 in/ }).first()).toBeVisible()
  await typeLine(page, 'as part seats')
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /^Top plate Ac/ })).toContainText('18 ')
  await expect(page.locator('main')).not.toContainText(/\d ?mm\b/)
  await page.keyboard.press('Alt+PageDown')
  await expect(part(page, 'Seats')).toHaveAttribute('aria-current', 'true')
})

test('what cannot be made is said wherever it would count, and the rest is made', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 4')
  await typeLine(page, 'part backs: seat 600 x 450 x 120 times 4')
  await typeLine(page, 'part backs: bench 300 x 450 x 120 in 40')
  await expect(part(page, 'Backs')).toContainText('cannot be made yet')
  for (const name of ['Cut & buy', 'Make', 'Bill']) {
    await station(page, name)
    await expect(page.getByText('Backs cannot be made as they stand, and count nowhere here.')).toBeVisible()
  }
  await typeLine(page, 'part seats: times 90')
  await expect(page.locator('output')).toContainText('130 cushions, more than the 120 of one order')
  await expect(part(page, 'Seats')).toContainText('4 cushions')
})

test('cushions of an earlier job come onto this ticket with their cloth', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 2')
  await page.getByRole('button', { name: /^Add backs/ }).click()
  await page.getByRole('menuitem', { name: /earlier job/ }).click()
  await page.getByLabel('Look for').fill('reading')
  await page.getByRole('button', { name: /SL-03/ }).click()
  await page.getByRole('button', { name: 'Backs', exact: true }).click()
  await expect(part(page, 'Backs')).toContainText('4 cushions')
  await station(page, 'Cut & buy')
  await expect(page.getByRole('region', { name: 'Buying list' }).getByRole('row', { name: /^Moss loop/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Loose fibre/ })).toBeVisible()
})

test('a set of five keeps the accessibility rules, at 1280 and at 1024 px', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 2')
  for (const name of ['backs', 'bolsters', 'footstools', 'cushions for the window'])
    await typeLine(page, `part ${name}: seat 500 x 400 x 80 times 2`)
  await typeLine(page, 'rows 500 x 400, 490 x 410')
  for (const width of [1280, 1024]) {
    await page.setViewportSize({ width, height: 800 })
    for (const name of ['Measure', 'Make-up', 'Lay', 'Cut & buy', 'Bill']) {
      await station(page, name)
      const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
      expect(violations.map((v) => `${name}: ${v.id} ${v.nodes[0]!.html}`)).toEqual([])
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
        `${name} at ${width}`,
      ).toBeLessThanOrEqual(0)
    }
  }
  await station(page, 'Measure')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByRole('menuitem')).toHaveCount(5)
  await part(page, 'window').click()
  const dialog = page.getByRole('dialog')
  await expect(dialog).toBeVisible()
  // Judged once it has faded in.
  await expect(async () => {
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
    expect(violations.map((v) => `${v.id} ${v.nodes[0]!.html}`)).toEqual([])
  }).toPass()
})

test('sizes pasted from a spreadsheet are the rows of the seat', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 2')
  await typeLine(page, 'rows 500 x 400, 490 x 410')
  await page.locator('table.rows').evaluate((table) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text', '455\t430\n448\t436\n460\t433\n')
    table.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  })
  const cell = (row: number, size: string) => page.getByRole('textbox', { name: `Row ${row}, ${size}`, exact: true })
  await expect(page.locator('table.rows tbody tr')).toHaveCount(3)
  for (const [row, width, depth] of [
    [1, '455', '430'],
    [2, '448', '436'],
    [3, '460', '433'],
  ] as const) {
    await expect(cell(row, 'width')).toHaveValue(width)
    await expect(cell(row, 'depth')).toHaveValue(depth)
    await expect(cell(row, 'thickness')).toHaveValue('80')
  }
})
