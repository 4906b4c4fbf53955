import { chromium } from '@playwright/test'
import { CHROMIUM } from './chromium.mjs'
const browser = await chromium.launch(CHROMIUM)
const context = await browser.newContext({
  viewport: { width: 820, height: 1180 },
  hasTouch: true,
  isMobile: true,
  deviceScaleFactor: 1,
})
const page = await context.newPage()
page.on('pageerror', (e) => console.log('ERR', e.message))
const wide = () =>
  page.evaluate(() => {
    const out = []
    for (const e of document.querySelectorAll('body *')) {
      const r = e.getBoundingClientRect()
      if (r.right > innerWidth + 2 && r.width > 0 && getComputedStyle(e).visibility !== 'hidden') {
        let p = e.parentElement,
          clipped = false
        while (p) {
          const s = getComputedStyle(p)
          if (/auto|scroll|hidden/.test(s.overflowX)) {
            clipped = /auto|scroll/.test(s.overflowX)
            if (clipped || p !== document.body) break
          }
          p = p.parentElement
        }
        if (!clipped)
          out.push(`${e.tagName}.${e.className?.baseVal ?? e.className} ${Math.round(r.left)}-${Math.round(r.right)}`)
      }
    }
    return [document.documentElement.scrollWidth, ...out.slice(0, 5)]
  })
await page.goto('http://127.0.0.1:4174/')
await page
  .getByRole('link', { name: /Keepers' bench/ })
  .first()
  .waitFor()
await page.waitForTimeout(800)
await page.screenshot({ path: '/tmp/y/t1.png' })
console.log('shelf', await wide())
const href = await page
  .getByRole('link', { name: /Keepers' bench/ })
  .first()
  .getAttribute('href')
const base = href.replace(/(jobs\/[^/]+).*/, '$1/')
for (const s of ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill']) {
  await page.goto('http://127.0.0.1:4174' + base + s)
  await page.waitForTimeout(2000)
  await page.screenshot({ path: `/tmp/y/t-${s}.png` })
  console.log(s, await wide())
}
for (const s of ['days', 'foam', 'cloth', 'trims', 'learnt', 'records', 'shop']) {
  await page.goto('http://127.0.0.1:4174/' + s)
  await page.waitForTimeout(1200)
  await page.screenshot({ path: `/tmp/y/ts-${s}.png` })
  console.log(s, page.url(), await wide())
}
await page.goto('http://127.0.0.1:4174' + base + 'measure')
await page.waitForTimeout(1500)
await page.locator('input[data-lengths]').first().tap()
await page.waitForTimeout(500)
await page.screenshot({ path: '/tmp/y/t-keys.png' })
await browser.close()
