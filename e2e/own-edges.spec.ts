import { expect, test } from './own-shop.ts'
import { makeUpPage, pick, saved, start, station, typeLine } from './steps.ts'

test('ties by place, from the fields to the bench', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 100 times 2')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Trims')
  await page.getByRole('radiogroup', { name: 'Ties', exact: true }).getByText('Sewn on').click()
  await page.getByRole('button', { name: 'Ties at another place' }).click()
  await pick(page, 'Ties at, place 2', 'Underside, in a grid')
  await station(page, 'Cut & buy')
  const tie = page.getByRole('region', { name: 'Cut list' }).getByRole('row', { name: /^Tie/ })
  // Two at the foot of the back and four underneath, on each of two cushions.
  await expect(tie).toContainText('12')
  await station(page, 'Make')
  await expect(page.getByText('Ties onto the bottom plate').first()).toBeVisible()
  // A hinge is nowhere on a boxed cushion: told, and nothing is lost.
  await station(page, 'Make-up')
  await makeUpPage(page, 'Trims')
  await pick(page, 'Ties at, place 2', 'Hinge')
  await expect(page.getByText(/without a place on this cover, 2 of them/).first()).toBeVisible()
  await page.getByRole('group', { name: 'Ties, place 2' }).getByRole('button', { name: 'Take out' }).click()
  await expect(page.getByText(/without a place on this cover/)).toHaveCount(0)
  await saved(page)
})

test('edges on the selvedge, and the cloth folded: cut list, lay and bench say so', async ({ page }) => {
  await start(page, 'seat 900 x 500 x 80 times 1')
  await typeLine(page, 'clearance 0')
  await station(page, 'Lay')
  await pick(page, 'Cloth', 'House calico')
  await page.getByRole('radiogroup', { name: 'It lies' }).getByText('Folded').click()
  await expect(page.getByText(/both selvedges here, the fold below/)).toBeVisible()
  await station(page, 'Cut & buy')
  const cut = page.getByRole('region', { name: 'Cut list' })
  await expect(cut.getByRole('row', { name: /^Top plate/ })).toContainText(/two at once|on the fold/)
  await station(page, 'Make')
  await page
    .getByText(/Mark out the House calico/)
    .first()
    .click()
  await expect(page.getByText(/Fold it lengthwise, right side in/).first()).toBeVisible()

  await station(page, 'Make-up')
  await makeUpPage(page, 'Trims')
  await pick(page, 'Cloth’s own edge at', 'Bottom plate, left')
  await station(page, 'Cut & buy')
  await expect(cut.getByRole('row', { name: /^Bottom plate/ })).toContainText('left on the selvedge')
  // In a striped cloth it is laid flat, and told.
  await station(page, 'Lay')
  await pick(page, 'Cloth', 'Tern check')
  await page.getByRole('radiogroup', { name: 'It lies' }).getByText('Folded').click()
  await expect(page.getByText(/Tern check cannot be cut folded/).first()).toBeVisible()
  await saved(page)
})
