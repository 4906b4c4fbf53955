import { expect, test } from './own-shop.ts'
import type { Page } from '@playwright/test'
import { figure, keepLay, makeUpPage, pick, saved, start, station, typeLine } from './steps.ts'

const openTicket = async (page: Page, name: RegExp) => {
  await page.goto('/')
  await page.getByRole('link', { name }).first().click()
  await expect(page).toHaveURL(/\/jobs\//)
}

test('a knife-edge cushion of loose fibre: cover, liner, two cloths, two lays, and what to buy', async ({ page }) => {
  await start(page, 'seat 560 x 480 x 140 times 2')
  await typeLine(page, 'clearance 0')
  await typeLine(page, 'fibre')
  await typeLine(page, 'cloth moss')
  await typeLine(page, 'makeup knife-edge')
  await station(page, 'Make-up')
  await expect(page.getByText('loose fibre always has one')).toBeVisible()
  await makeUpPage(page, 'Cloths')
  await pick(page, 'Liner', 'House calico')
  await station(page, 'Pieces')
  await expect(figure(page, 'Top plate, cut width')).toContainText('724')
  // 620 and 12 at each rounded corner; only the zip's own edge is cut 8 off, which a seam sewn shut is not.
  await expect(figure(page, 'Top plate, cut height')).toContainText('644')
  await typeLine(page, 'close sewn shut 300')
  await expect(figure(page, 'Top plate, cut height')).toContainText('644')
  await expect(page.locator('.checks .right')).toHaveCount(6)
  await page.getByRole('radiogroup', { name: 'Panels of' }).getByText('Liner').click()
  await expect(figure(page, 'Top plate, net width')).toContainText('728')
  await station(page, 'Lay')
  await page.getByRole('radiogroup', { name: 'Lay of' }).getByText('House calico').click()
  await expect(page.getByRole('heading', { name: /mm, .* waste/ })).toBeVisible()
  // Proven at once by its pair of plates, it may be kept already.
  await keepLay(page)
  await saved(page)
  await station(page, 'Cut & buy')
  await expect(
    page
      .getByRole('rowgroup')
      .filter({ hasText: 'House calico' })
      .getByRole('row', { name: /Liner, Top plate 2/ }),
  ).toBeVisible()
  const buying = page.getByRole('region', { name: 'Buying list' })
  await expect(buying.getByRole('row', { name: /^House calico/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Loose fibre/ })).toBeVisible()
})

test('every make-up in the list is drawn, or says why not and what can be made instead', async ({ page }) => {
  test.setTimeout(90_000)
  await start(page, 'seat 600 x 400 x 80')
  await station(page, 'Make-up')
  for (const name of [
    'Boxed, lap-closed',
    'Boxed, slit back',
    'Knife-edge',
    'Waterfall',
    'Wrapped tube',
    'Capped',
    'Pinch-corner wrap',
    'Rolled edge',
    'Pull-over on a board',
    'Hinged pair',
    'No-sew wrap',
    'Cube',
    'Liner',
  ]) {
    await pick(page, 'Make-up', name)
    await expect(page.getByRole('img', { name: 'One cushion, made up' }), name).toBeVisible()
    await station(page, 'Pieces')
    await expect(page.locator('.checks .right'), name).toHaveCount(6)
    await station(page, 'Make-up')
  }
  await pick(page, 'Make-up', 'Bolster')
  await expect(page.getByText('a roll is as deep as it is thick', { exact: false }).first()).toBeVisible()
  await expect(page.getByText('Boxed is the nearest that can.').first()).toBeVisible()
  await pick(page, 'Make-up', 'Boxed, slit back')
  await expect(page.getByRole('img', { name: 'One cushion, made up' })).toBeVisible()
})

test('a closure is chosen with its side, and its figures follow', async ({ page }) => {
  await start(page, 'seat 700 x 500 x 80')
  await typeLine(page, 'makeup lap-closed')
  await typeLine(page, 'close snap tape right')
  await station(page, 'Make-up')
  await expect(figure(page, 'Lap')).toContainText('26 mm')
  await page.getByRole('textbox', { name: 'Tape', exact: true }).fill('30')
  await expect(figure(page, 'Lap')).toContainText('36 mm')
  await station(page, 'Pieces')
  // 12 + 40 + 18 + 42
  await expect(figure(page, 'Lapped strip, upper half, cut height')).toContainText('112')
  await typeLine(page, 'makeup boxed')
  await typeLine(page, 'close sewn shut 900 left')
  await expect(page.getByText('longer than its edge', { exact: false })).toBeVisible()
  await typeLine(page, 'close sewn shut 300 left')
  await expect(page.locator('.checks .right')).toHaveCount(6)
})

test('piping on chosen edges, a strip too narrow, both ways of getting bias strips', async ({ page }) => {
  await start(page, 'seat 700 x 500 x 80 times 4')
  await typeLine(page, 'clearance 0')
  await typeLine(page, 'pipe top front right cord 6')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Piping')
  await expect(figure(page, 'Piping for one run')).toContainText('1280')
  await expect(figure(page, 'Piping strip width')).toContainText('43')
  await page.getByRole('textbox', { name: 'Strip width' }).fill('38')
  await expect(page.getByText('A strip of 38 mm is too narrow for a cord of 6 mm: 43 mm is needed.')).toBeVisible()
  await page.getByRole('button', { name: 'As worked out' }).click()
  await page.getByRole('radiogroup', { name: 'Strips cut' }).getByText('Bias').click()
  await expect(page.getByRole('row', { name: /Continuous tube/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /Strips across/ })).toBeVisible()
})

test('two schools side by side; one is taken over', async ({ page }) => {
  await start(page, 'seat 1100 x 430 x 100')
  await typeLine(page, 'clearance 0')
  await typeLine(page, 'makeup capped')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Compare')
  await pick(page, 'First school', 'Border drawn to the thickness')
  await pick(page, 'Second school', 'Border at full depth')
  const row = page.getByRole('row', { name: /cut width/ })
  await expect(row).toContainText('1300')
  await expect(row).toContainText('1324')
  await page.getByRole('button', { name: 'Take this one' }).nth(1).click()
  // The way of this job goes into the shop's book and is a school from then on.
  await page.getByRole('textbox', { name: 'Name of this way' }).fill('Ours, aboard')
  await page.getByRole('button', { name: 'Keep this way' }).click()
  await pick(page, 'First school', 'Ours, aboard')
  await page.reload()
  await makeUpPage(page, 'Compare')
  await page.getByRole('button', { name: 'Take Ours, aboard out of the book' }).click()
  await expect(page.getByText('Ours, aboard')).toHaveCount(0)
  await station(page, 'Pieces')
  await expect(figure(page, 'Top and sides, cut width')).toContainText('1324')
})

test('an edge has its own allowance, says so, and goes back', async ({ page }) => {
  await start(page, 'seat 600 x 400 x 80')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Allowances')
  await page.getByText('Top plate', { exact: false }).first().click()
  await page.getByRole('textbox', { name: 'Top plate, front' }).fill('30')
  await expect(page.getByText('set on this edge, in place of what the make-up gives it')).toBeVisible()
  await page.getByRole('button', { name: 'As it was' }).click()
  await expect(page.getByRole('textbox', { name: 'Top plate, front' })).toHaveValue('12')
})

test('buttons, ties and vents: places on the plate, things to buy, cautions', async ({ page }) => {
  await start(page, 'seat 600 x 400 x 80')
  await typeLine(page, 'buttons 2 x 3 staggered')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Trims')
  await expect(page.getByText('the cover cannot be taken off and washed', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Buttons from the edge' }).fill('320')
  await expect(page.getByText('fall outside the plate', { exact: false })).toBeVisible()
  await page.getByRole('textbox', { name: 'Buttons from the edge' }).fill('90')
  await page.getByRole('radiogroup', { name: 'Ties' }).getByText('Sewn on').click()
  await page.getByRole('radiogroup', { name: 'Vents' }).getByText('Sewn on').click()
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /^Tie / })).toContainText('60')
  await expect(page.getByRole('row', { name: /Buttons, covered/ })).toContainText('10')
  await expect(page.getByRole('row', { name: /Vent grommets/ })).toContainText('2')
})

test('the cushions stand in space only when asked, turn under the pointer, and a seam lights up there and on the flat panels', async ({
  page,
}) => {
  test.setTimeout(90_000)
  const loaded: string[] = []
  page.on('request', (r) => loaded.push(r.url()))
  await openTicket(page, /Chapel kneelers/)
  await station(page, 'Make-up')
  await expect(page.getByRole('img', { name: 'One cushion, made up' })).toBeVisible()
  expect(loaded.some((url) => /\/MadeUpView-[^/]*js$/.test(url))).toBe(false)
  await page.getByRole('radiogroup', { name: 'View' }).getByText('All, standing').click()
  const canvas = page.locator('canvas')
  await expect(canvas).toBeVisible()
  expect(loaded.some((url) => /\/MadeUpView-[^/]*js$/.test(url))).toBe(true)
  // Something is drawn: the picture has more than one colour.
  const shown = async () => (await canvas.screenshot()).toString('base64')
  await expect.poll(async () => (await shown()).length).toBeGreaterThan(20_000)
  const box = (await canvas.boundingBox())!
  const before = await shown()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 80, box.y + box.height / 2, { steps: 8 })
  await page.mouse.up()
  await expect.poll(shown, 'turned by the pointer').not.toBe(before)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 8 })
  await page.mouse.up()
  const now = (await canvas.boundingBox())!
  // Down through the middle of the picture the pointer crosses cushions and their edges.
  const seam = page.getByText(/Seam [A-Z], /)
  await expect
    .poll(
      async () => {
        for (let y = 0.3; y < 0.75; y += 0.004) {
          // One column may fall between two cushions.
          for (const x of [0.48, 0.53]) {
            await page.mouse.move(now.x + now.width * x, now.y + now.height * y)
            if (await seam.isVisible()) return true
          }
        }
        return false
      },
      { timeout: 90_000 },
    )
    .toBe(true)
  await station(page, 'Pieces')
  await page.getByRole('button', { name: /^A zip/ }).hover()
  await expect(page.locator('svg .seam.lit')).not.toHaveCount(0)
})

test('strips cut by themselves lie in the fewest rows, and the page says that it is proven', async ({ page }) => {
  await openTicket(page, /Keepers' bench/)
  await station(page, 'Cut & buy')
  await expect(page.getByRole('heading', { name: 'Lamp-room ticking, 99 mm high' })).toBeVisible()
  await expect(page.getByText('4 rows, 396 mm of the roll; proven: no fewer rows will do')).toBeVisible()
})
