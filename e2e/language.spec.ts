import type { Page } from '@playwright/test'
import { madeUpLanguage, marked } from '../scripts/made-up-language.ts'
import { expect, test } from './own-shop.ts'

const STATIONS = ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill']

/*
 * Another language is one more file: here a made-up one, in which every letter bears a mark. A letter without one on a
 * page was not translated.
 */

/** Words that stay as they are: of the shop's own data, signs of units, what is typed as a command. */
async function ownWords(page: Page): Promise<Set<string>> {
  const own = new Set<string>()
  const collect = (value: unknown): void => {
    if (typeof value === 'string') for (const word of value.match(/[A-Za-z]+/g) ?? []) own.add(word.toLowerCase())
    else if (value && typeof value === 'object') Object.values(value).forEach(collect)
  }
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; ticket: string; title: string }[]
  for (const { id } of jobs) {
    const { job } = (await (await page.request.get(`/api/jobs/${id}`)).json()) as { job: Record<string, unknown> }
    collect([job['ticket'], job['title'], job['customer'], job['terms'], job['note']])
    collect(
      (job['parts'] as { name: string; cloths: unknown }[]).map((p) => [
        p.name,
        JSON.stringify(p).match(/"name":"[^"]*"/g),
      ]),
    )
  }
  for (const list of ['grades', 'cloths', 'foam-stock', 'trims', 'settings'])
    collect(await (await page.request.get(`/api/shop/${list}`)).json())
  return own
}

/** What the browser itself writes: months, halves of the day, names of currencies. */
const INTL =
  /^(January|February|March|April|May|June|July|August|September|October|November|December|Jan|Feb|Mar|Apr|Jun|Jul|Aug|Sep|Oct|Nov|Dec|AM|PM|at|Euro|Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday)$/

const SIGNS =
  /^(mm|cm|in|inch|kg|m|g|N|kPa|lb|lbf|EUR|min|h|s|x|R|PDF|DXF|SVG|CSV|iCalendar|JSON|QR|A|Loft|Seam|SL|J|IFD|ILD)$/

/** Words on the page that bear no mark and are nobody's own. */
async function untranslated(page: Page, own: ReadonlySet<string>): Promise<readonly string[]> {
  const texts = await page.evaluate(() => {
    const found: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const e = node.parentElement!
      if (e.closest('code, kbd, style, script, [data-own]') || !e.checkVisibility()) continue
      found.push(node.textContent!.trim())
    }
    for (const e of document.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
      for (const name of ['aria-label', 'title', 'placeholder', 'alt']) found.push(e.getAttribute(name) ?? '')
    return found
  })
  return [
    ...new Set(
      texts.filter((text) =>
        (text.replace(/https?:\S+/g, '').match(/(?<!\p{L})[A-Za-z]{2,}(?!\p{L})/gu) ?? []).some(
          (w) => !SIGNS.test(w) && !INTL.test(w) && !own.has(w.toLowerCase()),
        ),
      ),
    ),
  ]
}

test('every word on every station is said in the language of the shop', async ({ page }) => {
  test.setTimeout(300_000)
  const dictionary = madeUpLanguage()
  await page.route('**/words/pseudo.json', (route) => route.fulfill({ json: dictionary }))
  const settings = (await (await page.request.get('/api/shop/settings')).json()) as Record<string, unknown>
  await page.request.put('/api/shop/settings', { data: { value: { ...settings, locale: 'en-XA' }, base: settings } })
  const own = await ownWords(page)
  await page.goto('/')
  await expect(page.getByText(marked('New ticket'), { exact: true }).first()).toBeVisible()
  const jobs = (await (await page.request.get('/api/jobs')).json()) as { id: string; ticket: string }[]
  const left: Record<string, readonly string[]> = {}
  for (const ticket of ['SL-02', 'SL-03', 'SL-08']) {
    const { id } = jobs.find((j) => j.ticket === ticket)!
    for (const station of STATIONS) {
      await page.goto(`/jobs/${id}/${station}`)
      await page.waitForTimeout(800)
      const pages = page.locator(`[role=radiogroup][aria-label^="${marked('Page of')}"] label`)
      const count = Math.max(1, await pages.count())
      for (let at = 0; at < count; at++) {
        if (at > 0) await pages.nth(at).click()
        await page.waitForTimeout(200)
        const found = await untranslated(page, own)
        if (found.length > 0) left[`${ticket} ${station} ${at + 1}`] = found
      }
    }
  }
  for (const path of ['/', '/calendar', '/foam', '/cloth', '/trims', '/learnt', '/records', '/shop']) {
    await page.goto(path)
    await page.waitForTimeout(800)
    const found = await untranslated(page, own)
    if (found.length > 0) left[path] = found
  }
  expect(left).toEqual({})
})
