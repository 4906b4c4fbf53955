// Pictures of each main view from the demo data at 1280 x 800: node scripts/screenshots.mjs ADDRESS FOLDER
import { chromium } from '@playwright/test'
import { CHROMIUM } from './chromium.mjs'

const [address = 'http://127.0.0.1:4173', folder = 'docs/screenshots'] = process.argv.slice(2)
const browser = await chromium.launch(CHROMIUM)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
page.on('console', (m) => m.type() === 'error' && process.stderr.write(`${m.text()}\n`))
page.on('pageerror', (e) => process.stderr.write(`${e}\n`))
await page.goto(address)
await page.getByText("Keepers' bench").first().waitFor()
await page.screenshot({ path: `${folder}/shelf.png` })
await page.getByText("Keepers' bench").first().click()
for (const station of ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists']) {
  await page.goto(page.url().replace(/[^/]*$/, station))
  await page.locator('.station, .lay-station, .lists').waitFor()
  await page.waitForTimeout(station === 'lay' ? 2600 : 500)
  await page.screenshot({ path: `${folder}/${station}.png` })
}
for (const [title, name] of [['Kittiwake forward berth', 'measure-berth'], ['Watch room window seat', 'measure-ring']]) {
  await page.goto(address)
  await page.getByText(title).first().click()
  await page.locator('.station').waitFor()
  await page.waitForTimeout(600)
  await page.screenshot({ path: `${folder}/${name}.png` })
}
await page.goto(address)
await page.getByText("Keepers' bench").first().waitFor()
await page.getByLabel('Type what you want').fill('taped AB 1860, BC 640, CD 1905, DA 215, AC 1997, BD 1869, A-BC 1887 thick 100')
await page.keyboard.press('Enter')
await page.locator('.station').waitFor()
await page.waitForTimeout(600)
await page.screenshot({ path: `${folder}/measure-tapes.png` })
await page.goto(address)
await page.getByText("Keepers' bench").first().click()
await page.locator('.station').waitFor()
await page.goto(page.url().replace(/[^/]*$/, 'make-up'))
await page.getByRole('button', { name: /^Piping strip width/ }).click()
await page.waitForTimeout(400)
await page.screenshot({ path: `${folder}/figure-open.png` })
await browser.close()
