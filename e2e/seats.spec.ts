import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './own-shop.ts'
import type { Page } from '@playwright/test'
import { clickEdge, figure, start, station, typeLine } from './steps.ts'

const shape = (page: Page, name: string | RegExp) => page.getByRole('radio', { name }).click()
const derived = (page: Page, label: string) =>
  page.locator('.derived').getByRole('button', { name: new RegExp(`^${label}: `) })
/** Presses the middle of something drawn and drags it by pixels. */
async function drag(page: Page, what: string, dx: number, dy: number): Promise<void> {
  const box = (await page.locator(what).boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 })
  await page.mouse.move(x + dx, y + dy, { steps: 4 })
  await page.mouse.up()
}

test('a window seat along a round wall, from one line to the lay', async ({ page }) => {
  await start(page, 'ring 1870 x 520 x 90 wall 3640 in 5')
  await expect(derived(page, 'Angle of the bench')).toContainText('111.53°')
  await expect(derived(page, 'Outer arc')).toContainText('4652.2')
  await expect(derived(page, 'Inner arc of each cushion')).toContainText('728')
  await expect(page.getByRole('link', { name: /Pieces/ })).toContainText('5 checks right')
  await station(page, 'Pieces')
  await expect(figure(page, 'Front boxing, net width')).toContainText('728')
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /mm, .* waste/ })).toBeVisible()
  await expect(page.getByText('The front is bowed: its boxing matches the stripes in the middle')).toBeVisible()
})

test('a locker lid by its taper, in inches', async ({ page }) => {
  await start(page, 'taper 44 1/4 x 33 7/8 x 15 7/8 x 2 3/8 left 0')
  await expect(figure(page, 'Cushion width')).toContainText('44 1/4')
  // The right side: the root of 15 7/8 squared and 10 3/8 squared is 18.964.
  await expect(derived(page, 'Edge right')).toContainText('19')
  await typeLine(page, 'overhang 1 1/2 far')
  await station(page, 'Pieces')
  await expect(page.locator('.checks .right')).toHaveCount(6)
  await expect(figure(page, 'Top plate, net height')).toContainText('17 3/8')
})

test('berth halves: hull side leaning, a mirrored partner, both through to the lay', async ({ page }) => {
  await start(page, 'berth 1860 x 640 x 215 x 100 hull 24 pair')
  await typeLine(page, 'cloth storm canvas')
  await expect(page.locator('.finishes')).toHaveCount(2)
  await station(page, 'Filling')
  await expect(page.getByRole('radiogroup', { name: 'Which cushion' })).toBeVisible()
  await page.getByText('Cushion B, 1 of').click()
  await station(page, 'Pieces')
  await expect(page.locator('.checks .right')).toHaveCount(6)
  await expect(figure(page, 'Right boxing, net height')).toContainText('109.5')
  await station(page, 'Cut & buy')
  await expect(page.getByRole('row', { name: /Foam A1/ })).toContainText('knife tilt: hull 24° outwards going up')
})

test('the drawing is the form: corners dragged, a front bowed, an edge set, a corner cut', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  await drag(page, '[data-handle="corner far right"]', 60, -40)
  await expect(figure(page, 'Cushion width')).not.toContainText('600')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('600')
  await drag(page, '[data-handle="rise near"]', 0, 30)
  await expect(derived(page, 'Edge near')).not.toContainText('600')
  await clickEdge(page, 'left')
  await page.getByRole('radiogroup', { name: 'What edge left meets' }).getByText('wall').click()
  await expect(figure(page, 'Cushion width')).toContainText('597')
  await page.getByRole('button', { name: 'Close' }).click()
  await page.locator('[data-handle="corner far left"]').click()
  await page.getByRole('radiogroup', { name: 'Corner far left' }).getByText('cut off').click()
  await page.getByRole('textbox', { name: 'Leg along left' }).fill('120')
  await expect(derived(page, 'Edge far left corner')).toContainText('156.2')
})

test('bad shapes are told in words; nothing is lost', async ({ page }) => {
  await start(page, 'taped AB 1860, BC 640, CD 1905, DA 215, AC 1967, BD 1869 thick 100')
  await expect(figure(page, 'Cushion width')).toContainText('1860')
  await typeLine(page, 'tape AC 3000')
  await expect(page.getByText('cannot close: one is longer than the other two together')).toBeVisible()
  await expect(page.getByText('no outline yet: see below what is wrong')).toBeVisible()
  await typeLine(page, 'tape AC 1997')
  await expect(page.getByText('The tapes disagree')).toBeVisible()
  await page.getByRole('combobox', { name: 'Tape to' }).selectOption('BC')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await typeLine(page, 'tape A–BC 1887.3')
  await expect(page.getByText('Tape AC is most likely misread')).toBeVisible()
  await typeLine(page, 'seat 600 x 500 x 80')
  await typeLine(page, 'round 550 near left')
  await expect(page.getByText('rounded or cut by more than its edge allows')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('600')
})

test('diagonals that do not agree offer the shape they describe', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  await page.getByRole('button', { name: 'Measure both diagonals' }).click()
  await page.getByRole('textbox', { name: 'Diagonal, near left to far right' }).fill('796.5')
  await page.getByRole('textbox', { name: 'Diagonal, far left to near right' }).fill('765.8')
  await expect(page.getByText('the seat leans 20')).toBeVisible()
  await page.getByRole('button', { name: 'Take over the shape of the diagonals' }).click()
  await expect(page.getByRole('radio', { name: 'Taper' })).toBeChecked()
  await expect(page.getByText('the seat leans')).toBeHidden()
})

test('how many cushions: advice with reasons, taken by a click', async ({ page }) => {
  await start(page, 'bench 2400 x 500 x 90 in 1')
  await page.getByRole('button', { name: 'How many?' }).click()
  await expect(page.locator('.advice tr.best')).toContainText('advised')
  await page.getByRole('button', { name: 'Divide into 4' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('600')
})

test('the simulated tape sends readings to the field that has the focus', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  await page.getByRole('button', { name: 'Radio tape' }).click()
  await expect(page.getByText('no real device')).toBeVisible()
  await page.getByRole('button', { name: 'Send a reading' }).click()
  await expect(page.getByText('No field has the focus')).toBeVisible()
  await page.getByRole('textbox', { name: 'Depth', exact: true }).focus()
  await page.getByLabel('Noise, mm').fill('0')
  await page.getByLabel('Misread, %').fill('0')
  await page.getByRole('textbox', { name: 'True length for the simulated tape' }).fill('512')
  await page.getByRole('button', { name: 'Send three' }).click()
  await expect(page.getByRole('textbox', { name: 'Depth, reading 3' })).toHaveValue('512')
  await expect(figure(page, 'Cushion depth')).toContainText('512')
})

test('an outline from a DXF drawing, and a paper template of it', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  await shape(page, 'Points or drawing')
  const entities = [
    [0, 0, 24, 0],
    [24, 0, 24, 16],
    [24, 16, 0, 20],
    [0, 20, 0, 0],
  ].map(([a, b, c, d]) => ['0', 'LINE', '8', '0', '10', a, '20', b, '11', c, '21', d].join('\n'))
  const dxf = [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$INSUNITS',
    '70',
    '1',
    '0',
    'ENDSEC',
    '0',
    'SECTION',
    '2',
    'ENTITIES',
    ...entities,
    '0',
    'ENDSEC',
    '0',
    'EOF',
    '',
  ].join('\n')
  await page
    .locator('input[accept=".dxf,.svg"]')
    .setInputFiles({ name: 'lid.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(dxf) })
  await expect(page.getByText('drawn in inches')).toBeVisible()
  await expect(figure(page, 'Cushion width')).toContainText('609.6')
  await page
    .locator('input[accept=".dxf,.svg"]')
    .setInputFiles({
      name: 'open.svg',
      mimeType: 'image/svg+xml',
      buffer: Buffer.from('<svg width="100mm" viewBox="0 0 100 100"><path d="M0 0h50v50"/></svg>'),
    })
  await expect(page.getByRole('alert')).toContainText('None of its 1 line closes')
  await expect(figure(page, 'Cushion width')).toContainText('609.6')
  await page.getByRole('button', { name: 'Paper template' }).click()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Make the PDF' }).click()
  const file = await download
  expect(file.suggestedFilename()).toMatch(/template-seat\.pdf$/)
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-')
})

test('every shape can be measured without breaking the accessibility rules', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  for (const name of [
    'Taper',
    'T or L seat',
    /^Round$/,
    'Round a corner',
    'Round wall',
    'Berth half',
    'By tapes',
    'Points or drawing',
  ]) {
    await shape(page, name)
    await expect(page.locator('.finishes').first()).toBeVisible()
    const found = await new AxeBuilder({ page }).include('main').analyze()
    expect(found.violations.map((v) => `${name}: ${v.id} ${v.nodes[0]?.html}`)).toEqual([])
  }
})

test('the demo tickets with measured seats open without a stop', async ({ page }) => {
  for (const title of [
    'Watch room window seat',
    'Reading chairs',
    'Bunks',
    'Kittiwake cockpit, locker lids',
    'Kittiwake forward berth',
  ]) {
    await page.goto('/')
    await page
      .getByRole('link', { name: new RegExp(title) })
      .first()
      .click()
    await expect(page.locator('.finishes').first()).toBeVisible()
    await expect(page.getByRole('link', { name: /Pieces/ })).toContainText('5 checks right')
  }
})

test('a round stool, begun by its picture, made wider by its one tape, then half of it', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New ticket' }).first().click()
  const dialog = page.getByRole('dialog', { name: 'A new ticket' })
  await dialog.getByRole('radio', { name: 'Round', exact: true }).click()
  await expect(dialog.getByLabel('Depth, front to back')).toHaveCount(0)
  await dialog.getByLabel('Across').fill('400')
  await dialog.getByRole('button', { name: 'Begin the ticket' }).click()
  await expect(figure(page, 'Cushion depth')).toContainText('400')
  // π · 200² mm².
  await expect(derived(page, 'Area of the seat')).toContainText('0.126 m²')
  await typeLine(page, 'diameter 420')
  await expect(figure(page, 'Cushion width')).toContainText('420')
  await expect(figure(page, 'Cushion depth')).toContainText('420')
  await page.getByRole('radio', { name: 'half, straight in front' }).click()
  await expect(figure(page, 'Cushion depth')).toContainText('210')
  await expect(page.getByRole('link', { name: /Pieces/ })).toContainText('checks right')
  await typeLine(page, 'undo')
  await expect(figure(page, 'Cushion depth')).toContainText('420')
})
