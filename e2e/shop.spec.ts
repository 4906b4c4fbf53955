import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import AxeBuilder from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { typeLine } from './steps.ts'

/** A shop of one's own on an empty database, which goes with the test. */
const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-first-'))
let port = 4331
let child: ChildProcess
test.beforeEach(async ({ request }) => {
  port++
  const env = { ...process.env, PORT: `${port}`, LOG_LEVEL: 'silent', DATABASE_FILE: path.join(folder, `${port}.db`) }
  child = spawn(process.execPath, ['dist/server/main.js'], { env: { ...env, DEMO: '' } })
  await expect
    .poll(async () => (await request.get(`${at('/api/health')}`).catch(() => null))?.status() ?? 0, { timeout: 90_000 })
    .toBe(200)
})
test.afterEach(() => void child.kill('SIGKILL'))
test.afterAll(() => rmSync(folder, { recursive: true, force: true }))
const at = (url: string) => `http://127.0.0.1:${port}${url}`

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
