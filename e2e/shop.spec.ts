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

test('without examples the first ticket says what it waits for', async ({ page }) => {
  await page.goto(at('/welcome'))
  await page.getByLabel('Name of the shop').fill('Plover Loft')
  await page.getByLabel(/Lay in example foam/).uncheck()
  await page.getByRole('button', { name: 'Open the shop' }).click()
  await expect(page).toHaveURL(at('/'))
  await typeLine(page, 'bench 1500 x 450 x 75 in 2')
  await expect(page.getByRole('alert')).toContainText('there is none yet: enter one of each')
  await page.goto(at('/cloth'))
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cloth store')
})
