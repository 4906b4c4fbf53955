import { readFileSync } from 'node:fs'
import DxfParser from 'dxf-parser'
import { expect, test } from './own-shop.ts'
import type { Locator, Page } from '@playwright/test'
import { pick, saved, start, station, typeLine } from './steps.ts'

const layPage = (page: Page, name: string) =>
  page.getByRole('radiogroup', { name: 'Page of the lay' }).getByText(name, { exact: true }).click()
const lengthShown = (page: Page) => page.getByRole('heading', { name: /mm, .* waste/ })
const bench = async (page: Page) => {
  await start(page, 'bench 1400 x 420 x 60 in 2')
  await station(page, 'Lay')
  await expect(lengthShown(page)).toBeVisible()
}
const piece = (page: Page, name: string) => page.getByRole('button', { name }).first()
async function drag(page: Page, what: Locator, dx: number, dy: number): Promise<void> {
  const box = (await what.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + dx, y + dy, { steps: 5 })
  await page.mouse.up()
}

test('a lay by hand: dragged over its neighbour it says so, undone, locked, the rest laid round it', async ({
  page,
}) => {
  await bench(page)
  await drag(page, piece(page, 'Top plate, cushion 1'), 70, 0)
  await expect(page.getByText(/^Top plate, cushion 1 lies over|lies over Top plate, cushion 1/).first()).toBeVisible()
  await expect(page.getByText('Changed by hand, nothing locked')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText(/lies over/)).toHaveCount(0)

  const top = piece(page, 'Top plate, cushion 2')
  await top.focus()
  await page.keyboard.press('l')
  await expect(page.getByText('1 locked')).toBeVisible()
  const before = await top.boundingBox()
  await page.keyboard.press('ArrowRight')
  expect(await top.boundingBox()).toEqual(before)
  await page.getByRole('button', { name: 'Lay the rest' }).click()
  await expect(page.getByRole('button', { name: 'Lay the rest' })).toBeVisible({ timeout: 90_000 })
  await expect(page.getByText(/lies over|off the usable cloth/)).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(page.getByText('1 locked')).toBeVisible()
  await page.getByRole('button', { name: "Back to the planner's" }).click()
  await expect(page.getByText('Pieces can be dragged.')).toBeVisible()
})

test('keys move a piece to the next place of its pattern and turn it', async ({ page }) => {
  await bench(page)
  const top = piece(page, 'Top plate, cushion 1')
  await top.focus()
  const before = (await top.boundingBox())!
  // Across the roll the ticking repeats every 68 mm: no phase is lost.
  await page.keyboard.press('ArrowDown')
  await expect(page.getByText('Changed by hand')).toBeVisible()
  expect((await top.boundingBox())!.y).toBeGreaterThan(before.y)
  await expect(page.getByText(/off its pattern/)).toHaveCount(0)
  await page.keyboard.press('r')
  await expect(page.getByText(/lies the wrong way/)).toHaveCount(0)
})

test('widths beside each other, with money', async ({ page }) => {
  test.setTimeout(90_000)
  await bench(page)
  await layPage(page, 'Compare')
  await page.getByLabel('both directions').uncheck()
  await page.getByRole('button', { name: 'Compare', exact: true }).click()
  const rows = page.locator('.compare tbody tr')
  await expect(rows).toHaveCount(5)
  await expect(rows.filter({ hasText: 'waits' })).toHaveCount(0, { timeout: 90_000 })
  await expect(rows.filter({ hasText: /^1370/ })).toContainText('mm')
  await expect(page.locator('.compare tr.own')).toHaveCount(1)
})

test('two tickets cut from one length: tried, kept in both, marked out, and taken apart again', async ({ page }) => {
  test.setTimeout(120_000)
  await bench(page)
  const own = page.url()
  await layPage(page, 'Cut together')
  await pick(page, 'Other tickets', "SL-02 Keepers' bench")
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Lay them together' }).click()
  const keep = page.getByRole('button', { name: 'Keep it in all 2 tickets' })
  await expect(keep).toBeEnabled({ timeout: 60_000 })
  const mm = async (row: RegExp) =>
    Number((await page.getByRole('row', { name: row }).locator('.n').textContent())!.replace(' mm', ''))
  const [alone, other, together] = [
    await mm(/^(?!SL-02).* by itself/),
    await mm(/^SL-02 by itself/),
    await mm(/^together/),
  ]
  expect(together).toBeLessThanOrEqual(alone + other)
  await keep.click()
  await expect(page.getByText(/Cut together with SL-02: .* in all, of which this ticket pays/)).toBeVisible()
  await saved(page)

  // All pieces are drawn and stand on the chalk list; none of them is dragged.
  await layPage(page, 'Cloth')
  for (const name of [/^SL-02: Top plate, cushion 1/, /^J-\d+: Top plate, cushion 1/])
    await expect(page.locator('.chalk').getByRole('cell', { name }).first()).toBeVisible()
  await expect(page.getByRole('heading', { name: `${together} mm`, exact: false })).toBeVisible()

  // The other ticket keeps the same length, and its bill has what is left of it.
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: `${together} mm`, exact: false })).toBeVisible()
  await layPage(page, 'Cut together')
  await expect(page.getByText(/Cut together with J-\d+:/)).toBeVisible()
  const shareOf = async () => {
    const says = await page.getByText(/of which this ticket pays/).textContent()
    return Number(/pays\s+([\d.]+)/.exec(says!)![1])
  }
  const theirs = await shareOf()
  expect(theirs).toBeCloseTo((together * other) / (alone + other), -1)

  // The first one changes: what is kept in this one no longer holds, and says so.
  await page.goto(own)
  await station(page, 'Measure')
  await typeLine(page, 'depth 500')
  await saved(page)
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  await station(page, 'Lay')
  await layPage(page, 'Cut together')
  await expect(page.getByText(/changed since, or cannot be read/)).toBeVisible()
  await page.getByRole('button', { name: 'Cut apart again' }).click()
  await expect(page.getByText(/of which this ticket pays/)).toHaveCount(0)
})

test('piping is cut in strips as long as the lay has room for them: less cloth, a cut list that says where each goes, and back', async ({
  page,
}) => {
  await start(page, 'seat 610 x 545 x 110 times 2')
  for (const line of ['makeup knife-edge', 'close zip seam back', 'pipe both cord 5 bias']) await typeLine(page, line)
  await station(page, 'Lay')
  const offer = page.getByRole('status').filter({ hasText: 'as long as the lay has room' })
  await expect(offer).toContainText('less to buy', { timeout: 90_000 })
  const laidMm = async () => Number(/([\d.]+) mm/.exec(await lengthShown(page).innerText())![1])
  await expect(offer).toContainText(/€\d+\.\d\d saved with /)
  const before = await laidMm()
  const said = Number(/lies on ([\d.]+) mm/.exec(await offer.innerText())![1])
  await offer.getByRole('button', { name: 'Cut them so' }).click()
  await expect(page.getByText('The piping is cut in strips as long as this lay has room for them.')).toBeVisible()
  await expect.poll(laidMm).toBeLessThan(before - 100)
  expect(Math.abs((await laidMm()) - said)).toBeLessThan(1)
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /Piping strip.* to loop/ }).first()).toBeVisible()
  await page.reload()
  await station(page, 'Lay')
  expect(Math.abs((await laidMm()) - said)).toBeLessThan(1)
  // Other pieces: the strips are chosen anew by themselves.
  await typeLine(page, 'depth 560')
  await expect(page.getByText('The piping is cut evenly so far.')).toBeVisible({ timeout: 20_000 })
  await expect(page.getByText('The piping is cut in strips as long as this lay')).toBeVisible({ timeout: 90_000 })
  await page.getByRole('button', { name: 'Strips of one length' }).click()
  await expect(page.getByText('The piping is cut in strips as long as this lay')).toHaveCount(0)
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /Piping strip.* to a loop/ })).toBeVisible()
})

test('a check is entered in the cloth store, marked with a flaw, and a job is laid on it both ways in phase', async ({
  page,
}) => {
  await page.goto('/cloth')
  await page.getByRole('button', { name: 'New cloth' }).click()
  await page.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(page.getByRole('alert')).toHaveText('The name is empty.')
  await page.getByLabel('Name', { exact: true }).fill('Squall check')
  await page.getByRole('radiogroup', { name: 'Pattern' }).getByText('Check').click()
  await page.getByRole('textbox', { name: 'Band across 1 width' }).fill('50')
  await expect(page.getByText('Band across: repeats every 70 mm, looks the same mirrored')).toBeVisible()
  await page.getByRole('button', { name: 'Mark flaws' }).click()
  await page.getByRole('img', { name: 'Squall check, to scale' }).click({ position: { x: 40, y: 40 } })
  await expect(page.getByRole('textbox', { name: 'Flaw 1 from the left' })).toBeVisible()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('button', { name: /Squall check/ })).toContainText('repeat 70 x 60')
  await expect(page.getByRole('button', { name: /Squall check/ })).toContainText('1 flaw')

  await start(page, 'bench 1400 x 420 x 60 in 2')
  await typeLine(page, 'cloth squall')
  await station(page, 'Lay')
  await expect(lengthShown(page)).toBeVisible()
  await expect(page.locator('.flaw rect')).toHaveCount(1)
  await pick(page, 'Where the pattern falls from front to back', 'on the middle of the depth')
  await expect(lengthShown(page)).toBeVisible()
  await expect(page.getByRole('img', { name: 'The row of cushions as this lay cuts it' })).toBeVisible()
  await page.goto('/cloth')
  await page.getByRole('button', { name: /Squall check/ }).click()
  await page.getByRole('button', { name: 'No longer kept' }).click()
  await expect(page.getByRole('button', { name: /Squall check/ })).toHaveCount(0)
})

test('will it fit the remnant? no, and what is missing; a smaller seat does', async ({ page }) => {
  test.setTimeout(120_000)
  await start(page, 'seat 300 x 220 x 40')
  await station(page, 'Lay')
  await expect(lengthShown(page)).toBeVisible()
  await layPage(page, 'Will it fit?')
  await page.getByRole('button', { name: 'Will it fit?' }).click()
  await expect(page.getByText('Yes, as it is.')).toBeVisible({ timeout: 90_000 })
  await page.getByRole('button', { name: 'Cut this job from it' }).click()
  await expect(page.locator('.remnant').first()).toBeVisible()
  await typeLine(page, 'seat 900 x 800 x 90')
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: /room|longer|wider|place/ })
      .first(),
  ).toBeVisible({ timeout: 90_000 })
})

test('a wrap wider than its cloth: from the complaint to the cut list, by one press, and back', async ({ page }) => {
  test.setTimeout(150_000)
  await start(page, 'seat 1210 x 365 x 80')
  await station(page, 'Make-up')
  await pick(page, 'Make-up', 'Wrapped tube')
  await station(page, 'Lay')
  await pick(page, 'Cloth', 'House calico')
  await page.getByLabel('Cloth width', { exact: true }).fill('1000')
  await expect(page.getByRole('alert').filter({ hasText: /wider/ }).first()).toBeVisible({ timeout: 60_000 })
  await page.getByRole('button', { name: 'What would do?' }).click()
  await page.getByRole('button', { name: 'Will it fit?' }).click()
  await expect(page.getByRole('status').filter({ hasText: /Yes, in \d+ ways/ })).toBeVisible({ timeout: 120_000 })
  await page.getByRole('button', { name: 'Cut it so: What is wider than the cloth joined' }).click()
  await expect(lengthShown(page)).toBeVisible({ timeout: 60_000 })
  await station(page, 'Cut & buy')
  const cut = page.getByRole('region', { name: 'Cut list' })
  await expect(cut.getByRole('row', { name: /Wrap, piece 1 of 2/ })).toBeVisible()
  await expect(cut.getByRole('row', { name: /Wrap, piece 2 of 2/ })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(cut.getByRole('row', { name: /Wrap, piece/ })).toHaveCount(0)
})

test('the lay as a drawing for the table: saved, sent, jammed, resumed', async ({ page }) => {
  await bench(page)
  await layPage(page, 'Mark out')
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Lay, DXF in mm' }).click(),
  ])
  const drawing = new DxfParser().parseSync(readFileSync(await file.path(), 'utf8'))!
  expect(drawing.entities.filter((e) => e.layer === 'CUT').length).toBe(await page.locator('.roll g.piece').count())
  for (const [button, ending] of [
    ['Lay, PDF on a page', 'lay.pdf'],
    ['Lay, PDF roll wide', 'lay roll.pdf'],
    ['Lay, SVG true size', 'lay.svg'],
    ['Cut list, spreadsheet', 'cut list.csv'],
    ['This piece, PDF over pages', '.pdf'],
  ] as const) {
    const [saved] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: button }).click(),
    ])
    expect(saved.suggestedFilename()).toContain(ending)
  }
  await page.getByLabel('let it jam on the way').check()
  await page.getByRole('button', { name: 'Send this lay' }).click()
  await expect(page.getByText(/^Jammed at/)).toBeVisible({ timeout: 90_000 })
  await page.getByRole('button', { name: 'Resume' }).click()
  await expect(page.getByText(/is cut: [\d.]+ m\./)).toBeVisible({ timeout: 90_000 })
})

test('a glass on the lay: it follows the pointer and the focus, shows what lies there, and is put away by its key', async ({
  page,
}) => {
  await start(page, 'seat 600 x 500 x 80 times 1')
  await station(page, 'Lay')
  const lay = page.getByLabel('The lay; + and - make it larger')
  const piece = lay.getByRole('button', { name: /plate/ }).first()
  await expect(piece).toBeVisible()
  // A better lay would move the piece away from under the pointer.
  await expect(page.getByRole('button', { name: /^Search .* more$/ })).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Glass', exact: true }).click()
  await piece.hover()
  const glass = lay.locator('.glass')
  await expect(glass).toContainText('mm apart')
  // The middle of what is seen is where the pointer is, in the drawing's own pixels.
  const [box, drawing] = [(await piece.boundingBox())!, (await lay.boundingBox())!]
  const [x, y, wide, high] = (await glass.locator('.seen').getAttribute('viewBox'))!.split(' ').map(Number)
  expect(x! + wide! / 2).toBeCloseTo(box.x + box.width / 2 - drawing.x, -1)
  expect(y! + high! / 2).toBeCloseTo(box.y + box.height / 2 - drawing.y, -1)
  const before = await glass.locator('.seen').getAttribute('viewBox')
  await lay
    .getByRole('button', { name: /boxing/ })
    .first()
    .focus()
  await expect(glass.locator('.seen')).not.toHaveAttribute('viewBox', before!)
  await page.keyboard.press('m')
  await expect(glass).toHaveCount(0)
})

test('marked out corner by corner: its distances from the drawing, by keys, at any size', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 1')
  await station(page, 'Lay')
  await page.getByRole('button', { name: 'Corner by corner' }).click()
  const steps = page.getByRole('region', { name: 'Marking out, corner by corner' })
  await expect(steps).toContainText('1 of')
  const first = await steps.locator('dd').allInnerTexts()
  await page.keyboard.press('PageDown')
  await expect(steps).toContainText('corner 2')
  // Along one edge only one of both distances changes.
  const second = await steps.locator('dd').allInnerTexts()
  expect(second.filter((v, i) => v === first[i])).toHaveLength(1)
  const lay = page.getByLabel('The lay; + and - make it larger')
  const before = (await lay.locator('circle').last().boundingBox())!
  await page.getByRole('button', { name: 'Larger' }).click()
  await expect(async () => {
    const after = (await lay.locator('circle').last().boundingBox())!
    expect(Math.hypot(after.x - before.x, after.y - before.y)).toBeGreaterThan(5)
  }).toPass()
  await page.getByRole('button', { name: 'All', exact: true }).click()
  await page.getByRole('button', { name: 'All of it' }).click()
  await expect(page.getByRole('columnheader', { name: 'Corners' })).toBeVisible()
})

test('every change that could shorten the lay is tried and ranked by what it saves; one is taken and undone', async ({
  page,
}) => {
  await start(page, 'bench 2236 x 468 x 75 in 3')
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /mm, .* waste/ })).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Page of the lay' }).getByText('Compare', { exact: true }).click()
  const saves = page.locator('.saves')
  await expect(saves.getByText('None of these lies beside another')).toBeVisible()
  await expect(saves.getByRole('button', { name: 'Try every change' })).toBeVisible({ timeout: 60_000 })
  const rows = await saves
    .locator('tbody tr')
    .evaluateAll((trs) =>
      trs
        .map((tr) => [...tr.querySelectorAll('td')].map((td) => td.textContent!.trim()))
        .filter((cells) => cells.length === 6),
    )
  expect(rows.length).toBeGreaterThan(4)
  const euros = (text: string) => Number(text.replace(/[€,]/g, ''))
  const worth = rows.map((cells) => euros(cells[4]!))
  expect(worth).toEqual(worth.toSorted((a, b) => b - a))
  // Cloth and work as printed make what is printed as saved, to half a minute's wage and the cents.
  const rate = euros(/work at (€[\d.]+) an hour/.exec(await saves.innerText())![1]!)
  for (const [, , cloth, work, saved] of rows as string[][]) {
    const minutes = /^(-?)(?:(\d+) h)? ?(?:(\d+) min)?/.exec(work!)!
    const worked = (Number(minutes[2] ?? 0) * 60 + Number(minutes[3] ?? 0)) * (minutes[1] ? -1 : 1)
    expect(Math.abs(euros(saved!) + euros(cloth!) + (worked / 60) * rate)).toBeLessThan(rate / 120 + 0.02)
  }
  await saves.getByRole('button', { name: 'Take: The pattern not matched' }).click()
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(saves.getByText('None of these lies beside another')).toBeVisible()
})
