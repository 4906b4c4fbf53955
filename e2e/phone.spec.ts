import type { Page } from '@playwright/test'
import { expect, test } from './own-shop.ts'
import { atEveryPage, figure, keepsRules, saved, standsWithin, start, station, typeLine } from './steps.ts'

const photos = (page: Page) => page.getByRole('radiogroup', { name: 'Page of the fit' }).getByText('Photos').click()

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a seat is measured in inches with the thumb: fractions, the next length, the strip of stations', async ({
    page,
  }) => {
    await start(page, 'bench 88 x 18 1/2 x 3 in 3')
    await page.getByLabel('Bench length', { exact: true }).tap()
    const keys = page.getByRole('group', { name: 'Keys for lengths' })
    await page.getByLabel('Bench length', { exact: true }).fill('88')
    await keys.getByRole('button', { name: '3/8', exact: true }).tap()
    await expect(page.getByLabel('Bench length', { exact: true })).toHaveValue('88 3/8')
    // Another fraction takes the place of the first.
    await keys.getByRole('button', { name: '1/4', exact: true }).tap()
    await expect(page.getByLabel('Bench length', { exact: true })).toHaveValue('88 1/4')
    await keys.getByRole('button', { name: 'Next' }).tap()
    await expect(page.getByLabel('Depth', { exact: true })).toBeFocused()
    await saved(page)
    // The station in hand stands within the strip, and the drawing has the width of the page.
    await station(page, 'Make')
    await expect(async () => {
      const here = (await page.locator('.spine .here').boundingBox())!
      expect(here.x).toBeGreaterThanOrEqual(0)
      expect(here.x + here.width).toBeLessThanOrEqual(390)
    }).toPass()
    await station(page, 'Measure')
    expect((await page.locator('.drawing svg').first().boundingBox())!.width).toBeGreaterThan(330)
  })

  test('every page of every station is one column, nothing is cut off, and axe finds nothing', async ({ page }) => {
    test.setTimeout(180_000)
    await start(page, 'bench 2236 x 468 x 75 in 3')
    await atEveryPage(page, async (where) => {
      await standsWithin(page, where)
      if (where.endsWith('page 1')) await keepsRules(page, where)
    })
  })

  test('a step is ticked, and a stop answered', async ({ page }) => {
    await start(page, 'seat 600 x 500 x 75')
    await station(page, 'Make')
    await page.getByRole('button', { name: 'Yes', exact: true }).tap()
    await page.getByRole('button', { name: 'Done', exact: true }).tap()
    await expect(page.getByText(/^2 of \d+ done/)).toBeVisible()
    await saved(page)
  })
})

test.describe('without the network', () => {
  test.use({ serviceWorkers: 'allow' })

  test('the page and an open ticket are there, and what is changed is sent when the network is back', async ({
    page,
    context,
  }) => {
    await start(page, 'seat 600 x 500 x 75')
    await saved(page)
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await page.reload()
    await expect(figure(page, 'Cushion width')).toContainText('600')
    await saved(page)
    await context.setOffline(true)
    await page.reload()
    await expect(figure(page, 'Cushion width')).toContainText('600')
    await typeLine(page, 'width 640')
    await expect(figure(page, 'Cushion width')).toContainText('640')
    await expect(page.locator('.save')).toContainText('not saved')
    await context.setOffline(false)
    await saved(page)
    await page.reload()
    await expect(figure(page, 'Cushion width')).toContainText('640')
  })

  test('a ticket is begun at the seat, with a photo: both are there after a reload, and go to the shop when it answers', async ({
    page,
    context,
  }) => {
    await page.goto('/')
    await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
    await page.evaluate(async () => void (await navigator.serviceWorker.ready))
    await page.reload()
    await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
    await context.setOffline(true)
    await page.reload()
    await start(page, 'seat 610 x 480 x 75')
    const id = /\/jobs\/([^/]+)/.exec(page.url())![1]!
    await expect(page.locator('.save')).toContainText('It is kept in this browser, and sent again.')
    await typeLine(page, 'width 655')
    await expect(figure(page, 'Cushion width')).toContainText('655')
    await station(page, 'Fit')
    await photos(page)
    const picture = await page.locator('.spine').screenshot()
    await page.locator('input[type=file]').setInputFiles({ name: 'seat.png', mimeType: 'image/png', buffer: picture })
    await expect(page.getByText('kept here until it can be sent')).toBeVisible()

    await page.goto('/')
    const ticket = page.getByRole('article').filter({ hasText: 'in this browser alone' })
    await expect(ticket).toHaveCount(1)
    await ticket.getByRole('link').click()
    await expect(figure(page, 'Cushion width')).toContainText('655')
    expect((await context.request.get(`/api/jobs/${id}`)).status()).toBe(404)

    await context.setOffline(false)
    await saved(page)
    const kept = (await (await context.request.get(`/api/jobs/${id}`)).json()) as {
      job: { ticket: string; fitting: { photos: { id: string }[] } }
    }
    const [photo] = kept.job.fitting.photos
    await page.reload()
    await expect.poll(async () => (await context.request.get(`/api/photos/${photo!.id}`)).status()).toBe(200)
    await station(page, 'Fit')
    await photos(page)
    await expect
      .poll(() =>
        page.getByRole('img', { name: 'photo of the cushions' }).evaluate((i: HTMLImageElement) => i.naturalWidth),
      )
      .toBeGreaterThan(10)
    await expect(page.getByText('kept here until it can be sent')).toHaveCount(0)
  })
})
