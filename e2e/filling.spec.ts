import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './own-shop.ts'
import type { Page } from '@playwright/test'
import { figure, fillingPage, pick, saved, start, station, typeLine } from './steps.ts'

const openFilling = async (page: Page, line: string) => {
  await start(page, line)
  await typeLine(page, 'foam gannet 30')
  await station(page, 'Filling')
}

test('choosing foam: what the seat carries, what bottoms and why, an advised stack taken over', async ({ page }) => {
  await openFilling(page, 'bench 1900 x 500 x 75 in 2')
  await typeLine(page, 'foam gannet 30')
  await expect(page.getByText('On a solid board that is a hard stop.').first()).toBeVisible()
  await fillingPage(page, 'Carries')
  await pick(page, 'Use', 'lounge')
  await page.getByLabel('Heaviest sitter').fill('180 lb')
  await page.getByLabel('Heaviest sitter').blur()
  await expect(page.getByText(/under the middle [\d.]+ kPa, [\d.]+ kPa, [\d.]+ kPa; on the average/)).toBeVisible()
  await fillingPage(page, 'Foam')
  await page.getByLabel('Largest thickness').fill('100')
  const first = page.locator('.works li').first()
  const words = (await first.locator('b').innerText()).trim()
  await first.getByRole('button', { name: /^Take/ }).click()
  await expect(page.locator('.layer').first()).toContainText(words.split(' on ')[0]!.split(' ')[0]!)
  await expect(page.getByText('hard stop')).toHaveCount(0)
  await page.getByText(/grades do not do alone, and why/).click()
  await expect(page.getByText(/on the board under [\d.]+ kg/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('.layer').first()).toContainText('Gannet 30/140')
  await saved(page)
})

test('two layers: soft on firm, their mass and their sheets; too thick a layer is told in words', async ({ page }) => {
  await openFilling(page, 'seat 600 x 500 x 100 times 2')
  await page.getByRole('button', { name: 'Add a layer on top' }).click()
  await expect(page.locator('.layer')).toHaveCount(2)
  await expect(page.getByText('the rest, 75 mm')).toBeVisible()
  await fillingPage(page, 'Cutting')
  await expect(page.locator('.lines tbody tr')).toHaveCount(2)
  await expect(figure(page, 'Foam glue')).toBeVisible()
  await expect(page.getByText('Solvent vapour burns')).toBeVisible()
  await fillingPage(page, 'Foam')
  await page.getByLabel('Thickness of layer 2').fill('120')
  await expect(page.getByText('nothing is left for the other layer')).toBeVisible()
})

test('wet, or for nobody: exposure, impossible sitters and infants are refused in words', async ({ page }) => {
  await openFilling(page, 'seat 1200 x 600 x 100 times 1')
  await fillingPage(page, 'Carries')
  await pick(page, 'Where it lives', 'outdoors or aboard')
  await expect(page.getByText('is not for outdoors or aboard, uncovered').first()).toBeVisible()
  await page.getByLabel('Heaviest sitter').fill('400')
  await expect(page.getByText('Heaviest sitter must lie between 10 kg and 250 kg.')).toBeVisible()
  await page.getByLabel('Heaviest sitter').fill('100')
  await page.getByText('Figures of this use, and your own').click()
  await page.getByLabel('Share of body mass').fill('900')
  await expect(page.getByText('Share of body mass must lie between 5 % and 150 %.')).toBeVisible()
  await page.getByLabel('Share of body mass').fill('')
  await pick(page, 'Use', 'sleeping')
  await expect(page.getByText('governed by safe-sleep rules')).toBeVisible()
  await pick(page, 'Use', 'dining')
  await expect(page.getByText('governed by safe-sleep rules')).toHaveCount(0)
})

test('the schools side by side, wadding with folded ends, the height of the seat', async ({ page }) => {
  await openFilling(page, 'seat 600 x 500 x 80 times 1')
  await fillingPage(page, 'Sizing')
  await expect(page.locator('.schools tbody tr')).toHaveCount(6)
  await expect(page.getByRole('row', { name: /Snug cover/ })).toContainText('24 and 24 short')
  await page.locator('.el-switch').first().click()
  await page.getByRole('radiogroup', { name: 'Ends' }).getByText('folded, double').click()
  await expect(figure(page, 'Wrapped width')).toContainText('638.7')
  await fillingPage(page, 'Carries')
  await page.getByLabel('Board now').fill('12')
  await expect(figure(page, 'Board and cushion')).toContainText('92 mm')
})

test('nesting: stock first, sheets after, the nest kept with the job; cut to size instead', async ({ page }) => {
  await openFilling(page, 'seat 600 x 500 x 75 times 5')
  await fillingPage(page, 'Cutting')
  await expect(page.getByRole('button', { name: 'Keep this nest' })).toBeEnabled()
  await page.getByLabel(/Sheet, opened/).check()
  await expect(page.locator('svg text', { hasText: 'Sheet, opened, Gannet 30/140' })).toBeVisible()
  await page.getByRole('button', { name: 'Keep this nest' }).click()
  await expect(page.getByRole('button', { name: 'Nest anew' })).toBeVisible()
  await saved(page)
  await page.reload()
  await fillingPage(page, 'Cutting')
  await expect(page.getByRole('button', { name: 'Nest anew' })).toBeVisible()
  await page.getByRole('radiogroup', { name: 'How foam comes' }).getByText('cut to size').click()
  await expect(page.getByRole('row', { name: /Block A/ })).toContainText('612 x 510 x 75')
  const [order] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Order list as a spreadsheet' }).click(),
  ])
  expect(readFileSync(await order.path(), 'utf8')).toContain('Block A,Gannet 30/140,30,5,612,510,75')
})

test('a block longer than any sheet says where it is joined', async ({ page }) => {
  await openFilling(page, 'seat 2400 x 500 x 100 times 1')
  await fillingPage(page, 'Cutting')
  await expect(page.getByText('from the left')).toContainText('Block A, sheet 1 from the board')
  await expect(page.getByText('glued from 2 parts')).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Joint' }).getByText('scarf, 45°').click()
  await expect(page.locator('.lines tbody tr')).toContainText('1 x A1, 1 x A2')
})

test('an unknown foam: weighed, pressed by the simulated press, kept as a grade and used', async ({ page }) => {
  await openFilling(page, 'seat 600 x 500 x 75 times 1')
  await fillingPage(page, 'What is there')
  await page.getByRole('button', { name: 'Add an old body' }).click()
  await page.getByRole('button', { name: 'Measure it again' }).click()
  await page.getByLabel('Old filling recovered, thickness').fill('60')
  await page.getByRole('button', { name: 'Enter it' }).click()
  await page.getByLabel('Old filling when new').fill('75')
  await expect(page.getByText('Replace it.')).toBeVisible()
  await expect(page.getByText('20 % of its thickness is lost')).toBeVisible()
  await page.getByRole('button', { name: 'Test a foam' }).click()
  await page.getByRole('button', { name: 'Simulated press' }).click()
  await page.getByLabel('Wrong piece').fill('0')
  await page.getByRole('button', { name: /Press once/ }).click()
  await expect(page.getByText('These readings are simulated.')).toBeVisible()
  await expect(page.getByText('coming back up, or far off the others')).toBeVisible()
  await expect(page.locator('.nearest li').first()).toContainText('Gannet 30/140')
  await page.getByLabel('Name in the catalogue').fill('Bench of the old mess')
  await page.getByRole('button', { name: 'Into the catalogue, and use it here' }).click()
  await expect(page.getByText('Bench of the old mess stands in the catalogue')).toBeVisible()
  await fillingPage(page, 'Foam')
  await expect(page.locator('.layer').first()).toContainText('Bench of the old mess')
})

test('loose fibre: liner and fill mass in place of a block', async ({ page }) => {
  await openFilling(page, 'seat 560 x 480 x 140 times 4')
  await fillingPage(page, 'Carries')
  await page.getByRole('radiogroup', { name: 'Filled with' }).getByText('Loose fill').click()
  await expect(figure(page, 'Fibre in one cushion')).toContainText('0.9 kg')
  await expect(figure(page, 'Liner width')).toContainText('582.4')
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /Loose fibre/ })).toContainText('3.61 kg')
})

test('the foam store: a grade in pounds, impossible data refused, a spreadsheet out and in', async ({ page }) => {
  await page.goto('/foam')
  await page.getByRole('button', { name: 'New grade' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Gull soft')
  await page.getByLabel('Density').fill('1.8 lb/ft3')
  await page.getByLabel('Force at 25 %').fill('36 lbf')
  await page.getByLabel('Force at 40 %').fill('')
  await page.getByLabel('Force at 65 %').fill('20 lbf')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('alert')).toContainText('The force at 65 %')
  await expect(page.getByRole('alert')).toContainText('must be well above the force at 25 %')
  await page.getByLabel('Force at 65 %').fill('')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('row', { name: /Gull soft/ })).toContainText('28.83')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Catalogue as a spreadsheet' }).click(),
  ])
  const csv = readFileSync(await file.path(), 'utf8')
  expect(csv).toContain('Gull soft,conventional')
  const changed =
    csv.replace('Gannet 24/110,conventional,24,', 'Gannet 24/110,conventional,25,') +
    '\nGull firm,conventional,900,,140,,,indoors,no,,,,50,200'
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'grades.csv', mimeType: 'text/csv', buffer: Buffer.from(changed) })
  await expect(page.getByText('Gannet 24/110: changed')).toBeVisible()
  await expect(page.getByText('The density is more than any foam')).toBeVisible()
  await page.getByRole('button', { name: 'Take 1 over' }).click()
  await expect(page.getByRole('row', { name: /Gannet 24\/110/ })).toContainText('25')
})

test('the rack: a remnant with a cut-out is noted, and a cut-out beyond its edge refused', async ({ page }) => {
  await page.goto('/foam')
  await page.getByRole('button', { name: 'New piece' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Offcut of the settle')
  await page.getByRole('button', { name: 'A cut-out' }).click()
  await page.getByLabel('Cut-out 1 long').fill('1200')
  await expect(page.getByRole('alert')).toContainText('A cut-out reaches beyond the piece it is cut out of.')
  await page.getByLabel('Cut-out 1 long').fill('200')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('row', { name: /Offcut of the settle/ })).toContainText('remnant')
  await page.getByRole('button', { name: 'Offcut of the settle' }).click()
  await page.getByRole('button', { name: 'Used up' }).click()
  await expect(page.getByRole('row', { name: /Offcut of the settle/ })).toHaveCount(0)
})

test('every page of the filling, and the store, keep the accessibility rules', async ({ page }) => {
  await openFilling(page, 'seat 600 x 500 x 75 times 2')
  const check = async (name: string) => {
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
    expect(violations.map((v) => `${name}: ${v.id} ${v.nodes[0]!.html}`)).toEqual([])
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    ).toBeLessThanOrEqual(0)
  }
  for (const name of ['Carries', 'Foam', 'Sizing', 'Cutting', 'What is there']) {
    await fillingPage(page, name)
    if (name === 'What is there') {
      await page.getByRole('button', { name: 'Add an old body' }).click()
      await page.getByRole('button', { name: 'Test a foam' }).click()
      await page.getByRole('button', { name: 'Add a weight' }).click()
      await page.getByRole('button', { name: 'Simulated press' }).click()
    }
    await check(name)
  }
  await page.goto('/foam')
  await check('store')
  await page.getByRole('button', { name: 'New grade' }).click()
  // The dialog fades in; half faded its words are pale.
  await page.waitForTimeout(600)
  await check('grade')
})

test('a grade taken out is put back with one press; a dialog does not throw away what was typed', async ({ page }) => {
  await page.goto('/foam')
  const name = 'Fulmar 50/220'
  const row = page.getByRole('row').filter({ has: page.getByRole('button', { name, exact: true }) })
  const before = await row.innerText()
  await page.getByRole('button', { name, exact: true }).click()
  await page.getByRole('button', { name: 'Out of the catalogue' }).click()
  await expect(row).toHaveCount(0)
  await expect(page.getByText(`${name} is out of the catalogue.`)).toBeVisible()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(row).toHaveCount(1)
  expect((await row.innerText()).replaceAll(/\s+/g, ' ')).toBe(before.replaceAll(/\s+/g, ' '))

  await page.getByRole('button', { name: 'New grade' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name', { exact: true }).fill('Half typed')
  await page.keyboard.press('Escape')
  await expect(dialog.getByText('What you entered is not kept yet.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Go on' }).click()
  await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('Half typed')
  await page.keyboard.press('Escape')
  await dialog.getByRole('button', { name: 'Leave it' }).click()
  await expect(dialog).toHaveCount(0)
  // Nothing was typed: it closes at once.
  await page.getByRole('button', { name: 'New grade' }).click()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
