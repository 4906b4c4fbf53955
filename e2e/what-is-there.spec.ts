import { expect, test } from './own-shop.ts'
import { figure, fillingPage, pick, saved, start, station, typeLine } from './steps.ts'

test('a new filling for a cover that stays: from the first page to the bill, and no station asks for cloth', async ({
  page,
}) => {
  await start(page, 'seat 1900 x 700 x 100 times 1')
  await typeLine(page, 'foam fulmar 40')
  await page.getByRole('radiogroup', { name: 'Ordered' }).getByText('Filling').click()
  await page.getByRole('button', { name: 'Measured, laid flat' }).click()
  for (const [way, mm] of [
    ['width', '1880'],
    ['depth', '690'],
    ['thickness', '95'],
  ] as const)
    await page.getByLabel(`Inside of the cover, ${way}`).fill(mm)
  await page.getByLabel('To open it').fill('Back seam below, 500 wide')
  await expect(page.locator('.spine .title')).toHaveText([
    'Measure',
    'Filling',
    'Make-up',
    'Cut & buy',
    'Make',
    'Fit',
    'Bill',
  ])
  await station(page, 'Filling')
  await fillingPage(page, 'Sizing')
  // 1880 / 0.99, 690 / 0.985, 95 / 0.96.
  await expect(figure(page, 'Block width')).toContainText('1899')
  await expect(figure(page, 'Block depth')).toContainText('700.5')
  await expect(figure(page, 'Block thickness')).toContainText('99')
  await expect(page.getByText(/which the cover squeezes by 5 %/)).toBeVisible()
  await station(page, 'Make-up')
  await expect(page.getByText('The cover stays.')).toBeVisible()
  await station(page, 'Cut & buy')
  await expect(page.getByRole('region', { name: 'Cut list' }).locator('tbody [scope=row]')).toHaveCount(2)
  await expect(page.getByRole('row', { name: /Cover.*stays/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Buying list' })).not.toContainText('Thread')
  await station(page, 'Make')
  await expect(page.getByText('Photograph it as it came').first()).toBeVisible()
  await expect(page.getByText('Mark out')).toHaveCount(0)
  await station(page, 'Bill')
  await expect(figure(page, 'Materials')).not.toContainText('0.00')
  await saved(page)
  await page.goto(page.url().replace('/bill', '/lay'))
  await expect(page.getByText('there is no work at this station')).toBeVisible()
})

test('a cover for the old filling: its recovered thickness counts, nothing is bought for it, its measure is asked at the bench', async ({
  page,
}) => {
  await start(page, 'seat 22 x 21.5 x 3 inches times 2')
  await page.getByRole('radiogroup', { name: 'Ordered' }).getByText('Cover', { exact: true }).click()
  await station(page, 'Filling')
  await fillingPage(page, 'What is there')
  await page.getByRole('button', { name: 'Add an old body' }).click()
  await page.getByRole('button', { name: 'Measure it again' }).click()
  await page.getByLabel('Old filling recovered, thickness').fill('2 7/8')
  await page.getByRole('radiogroup', { name: 'What becomes of Old filling' }).getByText('stays').click()
  await fillingPage(page, 'Foam')
  await expect(page.getByText('This foam is not known')).toBeVisible()
  await page.getByRole('button', { name: 'Somebody sat on it' }).click()
  await page.getByLabel('Trial 1, who').pressSequentially('A')
  await saved(page) // what is typed while the page hears that all is kept stays as it is
  await page.getByLabel('Trial 1, who').pressSequentially('da')
  await pick(page, 'Trial 1, what they found', 'felt the board')
  await page.getByLabel('Trial 1, who').blur()
  await expect(page.getByText(/Sat on: Ada, 165 lb, 20 minutes: felt the board/)).toBeVisible()
  await fillingPage(page, 'Sizing')
  await expect(figure(page, 'Cover thickness')).toContainText('2 7/8')
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /Old filling.*recovered/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Buying list' })).not.toContainText('sheets')
  await station(page, 'Make')
  await expect(page.getByText('Measure Old filling again').first()).toBeVisible()
})
