import { gzipSync } from 'node:zlib'
import { expect, test } from './own-shop.ts'

/** What is fetched before a ticket hangs, packed, stays below this. */
const MOST_BYTES = 250_000

test('the first page is light: nothing that plans is fetched before the tickets hang', async ({ page }) => {
  const html = await (await page.request.get('/')).text()
  const files = [...new Set(html.match(/assets\/[\w.-]+\.(?:js|css)/g))]
  expect(files.length).toBeGreaterThan(3)
  const packed = await Promise.all(
    files.map(async (file) => gzipSync(await (await page.request.get(`/${file}`)).body()).length),
  )
  expect(packed.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(MOST_BYTES)
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  // The line is there for whoever types at once.
  await page.getByLabel('Type what you want').fill('bench 2236 x 468 x 75 in 3')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
})
