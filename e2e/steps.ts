import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

export const station = (page: Page, name: string) =>
  page
    .locator('.spine .stop')
    .filter({ has: page.getByText(name, { exact: true }) })
    .click()
export const typeLine = async (page: Page, line: string) => {
  await page.getByLabel('Type what you want').fill(line)
  await page.keyboard.press('Enter')
}
export const start = async (page: Page, line: string) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Keepers' bench/ }).first()).toBeVisible()
  await typeLine(page, line)
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
}
export const saved = (page: Page) => expect(page.locator('.save')).toContainText('saved, revision')
/** Reads a figure by its label and the text it shows. */
export const figure = (page: Page, label: string) =>
  page.getByRole('button', { name: new RegExp(`^${label}: `) }).first()

/** Clicks an edge of the seat's drawing, off its middle, where handles are. */
export async function clickEdge(page: Page, name: string): Promise<void> {
  const box = (await page.locator(`[data-edge="${name}"]`).boundingBox())!
  await page.mouse.click(
    box.x + box.width * (box.width > box.height ? 0.2 : 0.5),
    box.y + box.height * (box.height >= box.width ? 0.2 : 0.5),
  )
}

/** Opens a page of the filling station. */
export const fillingPage = (page: Page, name: string) =>
  page.getByRole('radiogroup', { name: 'Page of the filling' }).getByText(name, { exact: true }).click()

/** Opens a page of the make-up station. */
export const makeUpPage = (page: Page, name: string) =>
  page.getByRole('radiogroup', { name: 'Page of the make-up' }).getByText(name, { exact: true }).click()

/** Picks from a select by its label; a list that closes under the pointer is opened again. */
export async function pick(page: Page, label: string, option: string): Promise<void> {
  const box = page.getByRole('combobox', { name: label, exact: true })
  await expect(async () => {
    if ((await box.getAttribute('aria-expanded')) !== 'true')
      await page.locator('.el-select').filter({ has: box }).click({ timeout: 3000 })
    const list = page.locator(`[id="${await box.getAttribute('aria-controls')}"]`)
    await list.getByRole('option', { name: option }).last().click({ timeout: 3000 })
  }).toPass()
}

/** Keeps the lay that is shown; a better one that is found just then is kept as well. */
export const keepLay = (page: Page) =>
  expect(async () => {
    const keep = page.getByRole('button', { name: 'Keep this lay' })
    if (await keep.isVisible()) await keep.click({ timeout: 3000 })
    await expect(page.getByRole('button', { name: 'Kept with the job' })).toBeVisible({ timeout: 3000 })
  }).toPass()

/** What stands outside the page without a place to scroll it in, and choices whose words do not fit into them. */
const cutOff = (page: Page) =>
  page.evaluate(() => {
    const words = (e: Element) => `${e.tagName.toLowerCase()} ${(e.textContent ?? '').trim().slice(0, 40)}`
    const outside = [...document.querySelectorAll('body *')].flatMap((e) => {
      const box = e.getBoundingClientRect()
      if (box.width === 0 || box.right <= innerWidth + 2 || e.closest('svg')) return []
      for (let p = e.parentElement; p; p = p.parentElement)
        if (/auto|scroll|hidden/.test(getComputedStyle(p).overflowX)) return []
      return [words(e)]
    })
    const choices = [
      ...document.querySelectorAll<HTMLElement>('button, [role="radio"], .el-radio-button__inner, .stop'),
    ]
    const clipped = choices.filter((e) => e.offsetParent && e.scrollWidth > e.clientWidth + 1).map(words)
    return [...outside, ...clipped]
  })

export const STATIONS = ['Filling', 'Make-up', 'Pieces', 'Lay', 'Cut & buy', 'Make', 'Fit', 'Bill', 'Measure']

/** Looks at every page of every station, once it stands still: a drawing that grew for ever was found so. */
export async function atEveryPage(page: Page, look: (where: string) => Promise<void>): Promise<void> {
  for (const name of STATIONS) {
    await station(page, name)
    const pages = page.getByRole('radiogroup', { name: /^Page of / }).locator('label')
    await expect(page.locator('.spine .here')).toContainText(name)
    await page.waitForTimeout(400)
    const count = Math.max(1, await pages.count())
    for (let at = 0; at < count; at++) {
      if (at > 0) await pages.nth(at).tap({ timeout: 5000 })
      await page.waitForTimeout(250)
      await look(`${name}, page ${at + 1}`)
    }
  }
}

/** Nothing of a page stands outside its window, no choice is clipped. */
export async function standsWithin(page: Page, where: string): Promise<void> {
  const width = await page.evaluate(() => document.documentElement.scrollWidth)
  expect(width, where).toBeLessThanOrEqual(page.viewportSize()!.width)
  expect(await cutOff(page), where).toEqual([])
}

/** The accessibility rules find nothing. */
export async function keepsRules(page: Page, where: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze()
  expect(
    violations.map((v) => `${v.id}: ${v.nodes[0]?.target}`),
    where,
  ).toEqual([])
}
