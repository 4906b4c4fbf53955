import { expect, test } from './own-shop.ts'
import type { Page, Route } from '@playwright/test'
import { saved, start, station, typeLine } from './steps.ts'

/** What happens to a page when its browser keeps nothing, its server is away, or a part of it is gone. */

const PUTS = (route: Route) => (route.request().method() === 'PUT' ? route.abort() : route.continue())
const noteOf = async (page: Page, id: string) =>
  (
    (await (await page.request.get(`/api/jobs/${id}`)).json()) as {
      job: { parts: { allowances: { overrides: object } }[] }
    }
  ).job.parts[0]!.allowances.overrides
const idOf = (page: Page) => /\/jobs\/([^/]+)/.exec(page.url())![1]!

test('a browser that keeps nothing shows the shelf all the same, and a job that cannot be saved says not to close it', async ({
  page,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'localStorage', {
      get: () => {
        throw new DOMException('The operation is insecure.', 'SecurityError')
      },
    })
  })
  await start(page, 'bench 1200 x 400 x 75 in 2')
  await saved(page)
  await page.route('**/api/jobs/*', PUTS)
  await typeLine(page, 'sa 14')
  await expect(page.locator('.save')).toContainText('It is in this page alone, and sent again: do not close it.')
  await page.unroute('**/api/jobs/*')
  await saved(page)
  expect(await noteOf(page, idOf(page))).toEqual({ seamMm: 14 })
})

test('a full browser, a server that is away, and a page that is reloaded: what was typed is not said to be kept', async ({
  page,
}) => {
  await start(page, 'bench 1200 x 400 x 75 in 2')
  await saved(page)
  await page.evaluate(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await page.route('**/api/jobs/*', PUTS)
  await typeLine(page, 'sa 16')
  await expect(page.locator('.save')).toContainText('in this page alone')
  let asked = ''
  page.once('dialog', (dialog) => {
    asked = dialog.type()
    void dialog.dismiss()
  })
  await page.close({ runBeforeUnload: true })
  await expect.poll(() => asked).toBe('beforeunload')
})

test('a ticket that the shop refuses leaves its line to be mended, and why stays while the shelf is read again', async ({
  page,
}) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  await page.route('**/api/jobs', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({ status: 400, json: { type: 'x', title: 'No room on the shelf', status: 400 } })
      : route.continue(),
  )
  await typeLine(page, 'seat 610 x 510 x 80')
  await expect(page.getByRole('alert')).toContainText('No room on the shelf')
  await expect(page.getByLabel('Type what you want')).toHaveValue('seat 610 x 510 x 80')
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; revision: number }[]
  const { job } = (await (await page.request.get(`/api/jobs/${jobs[0]!.id}`)).json()) as { job: { note: string } }
  const data = { job: { ...job, note: 'from elsewhere' }, baseRevision: jobs[0]!.revision, reason: 'a note' }
  const again = page.waitForResponse((answer) => answer.url().includes('/api/jobs?for=shelf'))
  expect((await page.request.put(`/api/jobs/${jobs[0]!.id}`, { data })).ok()).toBe(true)
  await again
  await expect(page.getByRole('alert')).toContainText('No room on the shelf')
})

test('what a closed tab could not send is sent when the program is next opened, on whatever page', async ({
  page,
  context,
}) => {
  await start(page, 'bench 1200 x 400 x 75 in 2')
  await saved(page)
  const id = idOf(page)
  await page.route('**/api/jobs/*', PUTS)
  await typeLine(page, 'sa 18')
  await expect(page.locator('.save')).toContainText('It is kept in this browser, and sent again.')
  await page.goto('about:blank')
  await page.close()
  const later = await context.newPage()
  expect(await noteOf(later, id)).toEqual({})
  await later.goto('/cloth')
  await expect.poll(() => noteOf(later, id)).toEqual({ seamMm: 18 })
})

test('a page that an upgrade took away, and a worker that is gone, are told with what helps', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  await page.route(/assets\/CalendarPage.*\.js/, (route) => route.fulfill({ status: 404, body: '' }))
  await page.getByRole('link', { name: 'Days' }).click()
  await expect(page.getByRole('alert')).toContainText('A part of the program could not be loaded')
  await page.unroute(/assets\/CalendarPage.*\.js/)
  await page.getByRole('button', { name: 'Reload' }).click()
  await expect(page.getByText('A part of the program')).toHaveCount(0)

  await page.route(/assets\/lay\.worker.*\.js/, (route) => route.fulfill({ status: 404, body: '' }))
  await start(page, 'bench 1300 x 410 x 75 in 2')
  await station(page, 'Lay')
  await expect(page.getByText('A part of the program could not be loaded')).toBeVisible()
})

test('a job of a newer release is told in words', async ({ page }) => {
  await page.route('**/api/jobs/*', async (route) => {
    const answer = await route.fetch()
    const stored = (await answer.json()) as { job: object }
    await route.fulfill({ response: answer, json: { ...stored, job: { ...stored.job, version: 99 } } })
  })
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  await expect(page.getByRole('alert')).toContainText('was written by a newer release')
  await expect(page.getByRole('alert')).not.toContainText('{')
})

test('no page asks for a style or a script that the policy forbids', async ({ page }) => {
  const told: string[] = []
  page.on('console', (message) => {
    if (/Content.Security.Policy/i.test(message.text())) told.push(message.text())
  })
  for (const path of ['/', '/calendar', '/foam', '/cloth', '/trims', '/learnt', '/records']) {
    await page.goto(path)
    await expect(page.locator('h1')).toBeVisible()
  }
  await start(page, 'bench 1200 x 400 x 75 in 2')
  for (const name of ['Filling', 'Make-up', 'Pieces', 'Lay', 'Cut & buy', 'Make', 'Fit', 'Bill']) {
    await station(page, name)
    await page.waitForLoadState('networkidle', { timeout: 3000 }).catch(() => undefined)
  }
  expect(told).toEqual([])
})
