import AxeBuilder from '@axe-core/playwright'
import { expect, openShop, test, type Shop } from './own-shop.ts'
import { typeLine } from './steps.ts'

/** A shop of one's own, as `npm start` opens it. */
let shop: Shop
test.beforeEach(async () => void (shop = await openShop({ DEMO: '' })))
test.afterEach(() => shop.end())
const at = (url: string) => shop.address + url

test('a new shop is asked whose it is, starts in its own units, and its quotes carry its name', async ({ page }) => {
  await page.goto(at('/'))
  await expect(page).toHaveURL(at('/welcome'))
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
  expect(violations.map((v) => `${v.id} ${v.nodes[0]!.html}`)).toEqual([])
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await expect(page.getByRole('alert')).toContainText('The shop wants a name')
  await page.getByLabel('Name of the shop').fill('Plover Loft')
  await page.getByLabel('Address').fill('1 Slipway\nGreyness')
  await page.getByText('inches, eighths').click()
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await expect(page).toHaveURL(at('/'))
  await expect(page.getByText('No ticket hangs here yet')).toBeVisible()
  await typeLine(page, 'bench 60 x 18 x 3 in 2')
  await expect(page).toHaveURL(/\/measure/)
  await expect(page.locator('main')).toContainText('60')
  await page.goto(page.url().replace('measure', 'bill'))
  await expect(page.getByLabel('Quote for the customer')).toContainText('Plover Loft')
  await expect(page.getByLabel('Quote for the customer')).toContainText('1 Slipway')
  await page.goto(at('/shop'))
  await page.getByLabel('Name of the shop').fill('Plover & Daughter')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.locator('.shop-header')).toContainText('Plover & Daughter')
  await page.reload()
  await expect(page.getByLabel('Address')).toHaveValue('1 Slipway\nGreyness')
})

test('examples can be laid in later, from the shelf', async ({ page }) => {
  await page.goto(at('/welcome'))
  await page.getByLabel('Name of the shop').fill('Plover Loft')
  await page.getByLabel(/Lay in example foam/).uncheck()
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await page.getByRole('button', { name: 'Lay in the examples' }).click()
  await expect(page.getByRole('heading', { name: 'Start from the tape' })).toBeVisible()
  await typeLine(page, 'bench 1500 x 450 x 75 in 2')
  await expect(page).toHaveURL(/\/measure/)
})

test('without examples a shop in inches enters a foam and a cloth of its own, as its suppliers quote them', async ({
  page,
}) => {
  await page.goto(at('/welcome'))
  await page.getByLabel('Name of the shop').fill('Plover Loft')
  await page.getByText('inches, eighths').click()
  await page.getByLabel(/Lay in example foam/).uncheck()
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await expect(page).toHaveURL(at('/'))
  await typeLine(page, 'seat 24 x 22 x 4 times 2')
  await expect(page.getByRole('alert')).toContainText('there is none yet: enter one of each')
  // What was typed waits in the line.
  await expect(page.getByLabel('Type what you want')).toHaveValue('seat 24 x 22 x 4 times 2')

  await page.getByRole('link', { name: 'Cloth store' }).click()
  await page.getByRole('button', { name: 'New cloth' }).click()
  await expect(page.getByRole('alert')).toBeHidden()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveText('The name is empty.')
  await page.getByLabel('Name', { exact: true }).fill('Heather sailcloth')
  await page.getByLabel('Price', { exact: true }).fill('24')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('button', { name: /Heather sailcloth/ })).toContainText('24.00 a yard')

  await page.goto(at('/foam'))
  await page.getByRole('button', { name: 'New grade' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Plover 36')
  await page.getByLabel('Density').fill('1.8')
  await page.getByLabel('Force at 25 %').fill('36')
  await page.getByLabel('Force at 40 %').fill('')
  await page.getByLabel('Thicknesses').fill('1/2, 2, 4')
  await page.getByLabel('Price', { exact: true }).fill('1.10')
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  const row = page.getByRole('row', { name: /Plover 36/ })
  for (const figure of ['1.8', '36', '1/2, 2, 4', '1.10'])
    await expect(row.getByRole('cell', { name: figure, exact: true })).toBeVisible()

  await page.goto(at('/'))
  await typeLine(page, 'seat 24 x 22 x 4 times 2')
  await expect(page).toHaveURL(/\/measure/)
  await page.goto(page.url().replace('measure', 'lists'))
  // A sheet of 80 x 48 x 4 in is 106 2/3 board feet, at 1.10 each.
  await expect(page.getByRole('row', { name: /Plover 36, sheets 80 x 48 x 4 in/ })).toContainText('117.33')
})
