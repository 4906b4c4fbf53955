import { expect, test } from './own-shop.ts'
import { figure, makeUpPage, pick, saved, start, station, typeLine } from './steps.ts'

test('a top in three pieces, wadding behind it, an edge left to trim: from the fields to the bench', async ({
  page,
}) => {
  await start(page, 'seat 1500 x 600 x 80 times 2')
  await typeLine(page, 'clearance 0')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Joins')
  await pick(page, 'Join a panel', 'Top plate')
  const top = page.getByRole('region', { name: 'Top plate' })
  await expect(top.getByRole('row', { name: /Piece 2/ })).toContainText('774')
  await page.getByRole('button', { name: 'one more, Pieces of Top plate' }).click()
  await page.getByRole('radiogroup', { name: 'Joins of Top plate lie' }).getByText('Sides alike').click()
  await page.getByLabel('Outer pieces of Top plate').fill('200')
  // 1500 less twice 200, and 12 at either end.
  await expect(top.getByRole('row', { name: /Piece 1/ })).toContainText('224')
  await expect(top.getByRole('row', { name: /Piece 2/ })).toContainText('1124')
  // A place where nothing would be left of a piece is told, and the panel stays whole.
  await page.getByLabel('Outer pieces of Top plate').fill('745')
  await expect(page.getByText(/The top plate stays whole/)).toBeVisible()
  await page.getByLabel('Outer pieces of Top plate').fill('200')
  await expect(page.getByText(/The top plate stays whole/)).toHaveCount(0)

  await makeUpPage(page, 'Cloths')
  await page.getByRole('button', { name: 'A layer behind the cloth' }).click()
  await page.getByRole('radiogroup', { name: 'Kind of layer 1' }).getByText('Wadding').click()
  await expect(page.getByText('The wadding has no cloth of its own yet')).toBeVisible()
  await pick(page, 'Wadding behind', 'House calico')
  await expect(page.getByText('The wadding has no cloth of its own yet')).toHaveCount(0)

  await makeUpPage(page, 'Trims')
  await pick(page, 'Left to trim at', 'Bottom plate, back')
  await expect(page.getByLabel('Left to trim, Bottom plate, back')).toHaveValue('25')

  await station(page, 'Cut & buy')
  const cut = page.getByRole('region', { name: 'Cut list' })
  for (const line of ['Top plate, piece 1 of 3', 'Top plate, piece 3 of 3', 'Top plate, wadding'])
    await expect(cut.getByRole('row', { name: new RegExp(line) })).toBeVisible()
  await expect(
    cut
      .getByRole('rowgroup')
      .filter({ hasText: 'House calico' })
      .getByRole('row', { name: /Top plate, wadding/ }),
  ).toBeVisible()
  await station(page, 'Make')
  await expect(page.getByText('Baste the wadding behind its panels').first()).toBeVisible()
  await expect(page.getByText(/Try it on, and trim the bottom plate/).first()).toBeVisible()
  await saved(page)
})

test('a tube in two cloths that opens over two edges of its end; piping on a part of the front; in inches', async ({
  page,
}) => {
  await start(page, 'seat 24 x 20 x 4 inches times 1')
  await typeLine(page, 'clearance 0')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Piping')
  await page.getByRole('radiogroup', { name: 'Piping' }).getByText('Corded').click()
  await page.getByRole('radiogroup', { name: 'Rows' }).getByText('Top').click()
  for (const side of ['right', 'back', 'left']) await page.getByRole('checkbox', { name: side, exact: true }).uncheck()
  await pick(page, 'Piped in part', 'front, top row')
  await page.getByLabel('Piping of the front, top row, to').fill('18')
  await page.getByLabel('Piping of the front, top row, from').fill('6')
  // 12 inches, and 40 mm at either end.
  await expect(figure(page, 'Piping for one run')).toContainText('15 1/8')
  await makeUpPage(page, 'Build')
  await pick(page, 'Make-up', 'Wrapped tube')
  await page.getByRole('radiogroup', { name: 'Panels round it' }).getByText('Three').click()
  await pick(page, 'Closes by', 'Zip in the seam')
  await page.getByRole('radiogroup', { name: 'Opens' }).getByText('Left end').click()
  await page.getByRole('radiogroup', { name: 'On over the corner' }).getByText('Yes').click()
  await expect(figure(page, 'Opening')).toContainText('24')
  await page.getByLabel('Starts from the far corner').fill('1')
  await expect(figure(page, 'Opening')).toContainText('23')
  await station(page, 'Pieces')
  await expect(page.getByRole('row', { name: /Front and top/ })).toBeVisible()
  await expect(page.locator('.checks .right')).toHaveCount(6)
  await saved(page)
})

test('a doubt is overruled with one press, and said again when its figures change', async ({ page }) => {
  await start(page, 'seat 600 x 400 x 40')
  await typeLine(page, 'sa 12')
  await station(page, 'Make-up')
  const doubt = page.locator('.warnings li').filter({ hasText: 'it would be more seam than cloth' })
  await expect(doubt.first()).toBeVisible()
  const before = await doubt.count()
  await doubt.first().getByRole('button', { name: 'It is meant so' }).click()
  await expect(doubt).toHaveCount(before - 1)
  await saved(page)
  await page.reload()
  await expect(doubt).toHaveCount(before - 1)
  await typeLine(page, 'thickness 36')
  await expect(doubt).not.toHaveCount(before - 1)
})
