import { gzipSync } from 'node:zlib'
import { expect, test } from './own-shop.ts'

/** What is fetched before a ticket hangs, packed, stays below this. */
const MOST_BYTES = 250_000

test('the first page is light: nothing that plans is fetched before the tickets hang', async ({ page }) => {
  const html = await (await page.request.get('/')).text()
  const packed: number[] = []
  const fetched = new Set<string>()
  /** A file, and all that it cannot run without. */
  const fetchWithParts = async (file: string): Promise<void> => {
    if (fetched.has(file)) return
    fetched.add(file)
    const body = await (await page.request.get(`/assets/${file}`)).body()
    packed.push(gzipSync(body).length)
    for (const [, part] of body.toString().matchAll(/(?:from|import)\s*"\.\/([^"]+\.js)"/g)) await fetchWithParts(part!)
  }
  for (const [, file] of html.matchAll(/assets\/([^"]+\.(?:js|css))"/g)) await fetchWithParts(file!)
  expect(packed.length).toBeGreaterThan(1)
  expect(packed.reduce((sum, bytes) => sum + bytes, 0)).toBeLessThan(MOST_BYTES)
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  // The line is there for whoever types at once.
  await page.getByLabel('Type what you want').fill('bench 2236 x 468 x 75 in 3')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
})
