import { expect, test } from './own-shop.ts'
import { atEveryPage, figure, keepsRules, saved, standsWithin, start, station } from './steps.ts'

/** As low as a thing may be that a finger taps, less the line round it. */
const FINGER_PX = 41.5

for (const [held, viewport] of [
  ['upright', { width: 768, height: 1024 }],
  ['flat', { width: 1024, height: 768 }],
] as const)
  test.describe(`on a tablet held ${held}`, () => {
    test.use({ viewport, hasTouch: true, isMobile: true })

    test('every page of every station stands within it, no choice is clipped, what is tapped is a finger high', async ({
      page,
    }) => {
      test.setTimeout(180_000)
      await start(page, 'bench 2236 x 468 x 75 in 3')
      await atEveryPage(page, async (where) => {
        await standsWithin(page, where)
        const low = await page
          .locator('.plain-button:visible, .choice-buttons label:visible')
          .evaluateAll(
            (all, least) => all.filter((e) => e.getBoundingClientRect().height < least).map((e) => e.textContent),
            FINGER_PX,
          )
        expect(low, where).toEqual([])
      })
    })

    test('a seat is measured, its zip put elsewhere, and a step ticked', async ({ page }) => {
      await start(page, 'seat 620 x 540 x 100')
      await page.getByLabel('Width', { exact: true }).tap()
      await page.getByLabel('Width', { exact: true }).fill('655')
      await page.keyboard.press('Enter')
      await expect(figure(page, 'Cushion width')).toContainText('655')
      await station(page, 'Make-up')
      const closes = page.getByRole('radiogroup', { name: 'At the' })
      await closes.getByText('Left', { exact: true }).tap()
      await expect(closes.getByRole('radio', { name: 'Left' })).toBeChecked()
      await station(page, 'Make')
      await page.getByRole('button', { name: 'Yes', exact: true }).tap()
      await page.getByRole('button', { name: 'Done', exact: true }).tap()
      await expect(page.getByText(/^2 of \d+ done/)).toBeVisible()
      await saved(page)
    })
  })

test.describe('enlarged to 200 %', () => {
  // What 1280 x 800 leaves of itself.
  test.use({ viewport: { width: 640, height: 400 }, hasTouch: true })

  test('every page of every station stands within the window, and axe finds nothing', async ({ page }) => {
    test.setTimeout(180_000)
    await start(page, 'bench 2236 x 468 x 75 in 3')
    await atEveryPage(page, async (where) => {
      await standsWithin(page, where)
      if (where.endsWith('page 1')) await keepsRules(page, where)
    })
  })
})
