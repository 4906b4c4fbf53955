import AxeBuilder from '@axe-core/playwright'
import { expect, test } from './own-shop.ts'
import { clickEdge, figure, fillingPage, keepLay, makeUpPage, pick, saved, start, station, typeLine } from './steps.ts'

test('the whole path in millimetres, from one typed line to the lists', async ({ page }) => {
  await start(page, 'bench 2236 x 468 x 75 in 3')
  await typeLine(page, 'squeeze 2')
  await expect(figure(page, 'Cushion width')).toContainText('746.7')
  await figure(page, 'Cushion width').click()
  await expect(page.getByText('(2236 − 2 × (−2)) ÷ 3 = 746.7 mm net')).toBeVisible()
  await page.keyboard.press('Escape')

  await typeLine(page, 'foam gannet 30')
  await station(page, 'Filling')
  await expect(page.getByText(/holds up to \d+ kg, on the board under 100 kg/).first()).toBeVisible()
  await fillingPage(page, 'Sizing')
  await expect(figure(page, 'Block width')).toContainText('761.6')
  await expect(figure(page, 'Block depth')).toContainText('477.4')
  await expect(page.getByText('this program certifies nothing')).toBeVisible()

  await station(page, 'Make-up')
  await expect(figure(page, 'Perimeter of the plate')).toContainText('2429.3')
  await expect(figure(page, 'Gusset run')).toContainText('980.7')
  await makeUpPage(page, 'Piping')
  await page.getByRole('radiogroup', { name: 'Piping' }).getByText('Corded').click()
  await expect(figure(page, 'Piping strip width')).toContainText('40 mm')

  await station(page, 'Pieces')
  await expect(figure(page, 'Gusset, upper half, cut height')).toContainText('71.5')
  await expect(figure(page, 'Gusset, upper half, cut width')).toContainText('1004.7')
  await expect(figure(page, 'Top plate, cut width')).toContainText('770.7')
  await expect(figure(page, 'Front boxing, cut height')).toContainText('99')
  await expect(page.locator('.checks .right')).toHaveCount(6)

  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /mm, .* waste/ })).toBeVisible()
  await expect(page.getByText('No lay can be shorter than')).toBeVisible()
  await expect(page.locator('.chalk tbody tr')).toHaveCount(3 * 7 + 12)
  await keepLay(page)
  await saved(page)

  await station(page, 'Cut & buy')
  await expect(
    page
      .getByRole('rowgroup')
      .filter({ hasText: 'Lamp-room ticking' })
      .getByRole('row', { name: /Top plate 3/ }),
  ).toBeVisible()
  await expect(page.getByRole('row', { name: /^Materials/ })).toContainText('€')

  await page.reload()
  await expect(page.getByRole('row', { name: /^Materials/ })).toContainText('€')
  await station(page, 'Lay')
  await expect(page.getByRole('button', { name: 'Kept with the job' })).toBeVisible()
})

test('the same in inches, with fractions everywhere', async ({ page }) => {
  await start(page, 'bench 88 x 18 1/2 x 3 in 3')
  await expect(figure(page, 'Cushion width')).toContainText('29 3/8')
  const depth = page.getByRole('textbox', { name: 'Depth' })
  await depth.fill('18-3/4"')
  await expect(page.getByText('18 3/4 in = 476.3 mm, net')).toBeVisible()
  await depth.press('Enter')
  await expect(figure(page, 'Cushion depth')).toContainText('18 3/4')
  await station(page, 'Make-up')
  await makeUpPage(page, 'Allowances')
  await page.getByRole('textbox', { name: 'Seam allowance' }).fill('1/2')
  await expect(page.getByText('this job (book 1/2 in)')).toBeVisible()
  await station(page, 'Pieces')
  await expect(figure(page, 'Top plate, cut width')).toContainText('30 3/8')
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /in, .* waste/ })).toBeVisible()
  await station(page, 'Cut & buy')
  await expect(page.getByRole('columnheader', { name: 'Cut, in' })).toBeVisible()
  await expect(page.getByRole('row', { name: /^Thread/ })).toContainText('yd')
})

test('a job in inches reads no millimetres, kilograms or newtons, on any page of any station', async ({ page }) => {
  await page.goto('/')
  await typeLine(page, 'bench 88 x 18 1/2 x 3 in 3')
  await expect(page).toHaveURL(/measure/)
  const job = page.url().replace(/\/measure.*/, '')
  const metric: string[] = []
  async function look(where: string): Promise<void> {
    const texts = await page.locator('main').allInnerTexts()
    metric.push(
      ...(texts.join('\n').match(/^.*\d\s?(mm|cm|m|m²|m³|kg|N)(?![\p{L}²³]).*$/gmu) ?? []).map(
        (line) => `${where}: ${line}`,
      ),
    )
  }
  for (const station of ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill']) {
    await page.goto(`${job}/${station}`)
    await expect(page.locator('main .sheet').first()).toBeVisible()
    await look(station)
    const pages = page.locator('main [role=radiogroup]').first().locator('label')
    for (const name of await pages.allInnerTexts()) {
      await pages.filter({ hasText: name }).first().click()
      await look(`${station}, ${name}`)
    }
  }
  expect(metric).toEqual([])
})

test('bad entries are told in words and change nothing', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await saved(page)
  const length = page.getByRole('textbox', { name: 'Bench length' })
  for (const [entry, words] of [
    ['0', 'Bench length must be more than nought.'],
    ['-4', 'Bench length must be more than nought.'],
    ['30000', 'Bench length is 30000 mm; at most 20000 mm is taken. Check the unit.'],
    ['wide', 'Bench length: "wide" is not a length.'],
    ['1/0', 'Bench length: "1/0" divides by nought.'],
    ['NaN', 'Bench length: "NaN" is not a length.'],
    ['', 'Bench length is empty: type a length.'],
  ] as const) {
    await length.fill(entry)
    await expect(page.getByRole('alert')).toContainText(words)
  }
  await expect(figure(page, 'Cushion width')).toContainText('1000')
  await length.fill('2000')
  await page.getByRole('textbox', { name: 'Number of cushions' }).fill('200')
  await expect(page.getByRole('alert')).toContainText('a whole number from 1 to 120 is wanted')
  await typeLine(page, 'sofa 12')
  await expect(page.locator('output')).toContainText('"sofa" is not a word of this line')
  await page.getByRole('textbox', { name: 'Thickness' }).fill('600')
  await expect(page.getByText('Check that depth and thickness are not exchanged.')).toBeVisible()
})

test('readings far apart are doubted; the middle one counts', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await typeLine(page, 'depth 500, 512, 501')
  await expect(page.getByText('The readings of the depth lie 12 mm apart')).toBeVisible()
  await expect(figure(page, 'Cushion depth')).toContainText('501')
  await page.getByRole('button', { name: 'Strike out reading 2 of Depth' }).click()
  await expect(page.getByText('The readings of the depth lie')).toBeHidden()
})

test('undo, redo, history and restore', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await typeLine(page, 'in 4')
  await expect(figure(page, 'Cushion width')).toContainText('500')
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('1000')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('500')
  await page.getByRole('heading', { name: 'Each cushion finishes' }).click()
  await page.keyboard.press('Control+z')
  await expect(figure(page, 'Cushion width')).toContainText('1000')
  await saved(page)
  await page.getByRole('button', { name: 'History' }).click()
  await page
    .getByRole('listitem')
    .filter({ hasText: '4 cushions' })
    .last()
    .getByRole('button', { name: 'Bring back' })
    .click()
  await expect(figure(page, 'Cushion width')).toContainText('500')
  await saved(page)
})

test('a second tab cannot overwrite silently: the same thing changed twice is a question, other things come together', async ({
  page,
  context,
}) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await saved(page)
  const other = await context.newPage()
  await other.route('**/api/events', (route) => route.abort())
  await other.goto(page.url())
  await expect(figure(other, 'Cushion width')).toContainText('1000')
  await typeLine(page, 'in 4')
  await saved(page)
  await typeLine(other, 'in 5')
  await expect(other.getByText('This job was saved from another window').first()).toBeVisible()
  await expect(other.getByRole('row', { name: /seat division count/ })).toContainText('4')
  await other.getByRole('button', { name: 'Go on with theirs' }).click()
  await expect(figure(other, 'Cushion width')).toContainText('500')
  await other.getByRole('button', { name: 'Undo' }).click()
  await expect(figure(other, 'Cushion width')).toContainText('400')
  await saved(other)

  await expect(figure(page, 'Cushion width')).toContainText('400')
  await typeLine(page, 'thickness 90')
  await saved(page)
  await typeLine(other, 'depth 480')
  await expect(other.getByText('Changes from another window were taken in beside yours.')).toBeVisible()
  await saved(other)
  await expect(figure(page, 'Cushion depth')).toContainText('480')
  await expect(figure(other, 'Cushion thickness')).toContainText('90')
})

test('what the server did not take is kept in the browser and saved later', async ({ page, context }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await saved(page)
  await context.route('**/api/jobs/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.fallback(),
  )
  await typeLine(page, 'in 5')
  await expect(page.locator('.save')).toContainText('not saved: The server cannot be reached')
  await context.unroute('**/api/jobs/*')
  await page.reload()
  await expect(figure(page, 'Cushion width')).toContainText('400')
  await saved(page)
})

test('a job file goes out and comes in again; a broken one changes nothing', async ({ page, request }) => {
  const jobsKept = async () => ((await (await request.get('/api/jobs')).json()) as unknown[]).length
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Job file' }).click(),
  ])
  const file = await download.path()
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.locator('.ticket').first()).toBeVisible()
  const before = await jobsKept()
  await page.setInputFiles('input[type=file]', {
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":'),
  })
  await expect(page.getByRole('alert')).toContainText('broken.json is not a job file')
  await page.setInputFiles('input[type=file]', {
    name: 'newer.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"format":"loft-seam/job","version":999}'),
  })
  await expect(page.getByRole('alert')).toContainText('newer release')
  expect(await jobsKept()).toBe(before)
  await page.setInputFiles('input[type=file]', file)
  await expect(page).toHaveURL(/measure/)
  await expect(figure(page, 'Cushion width')).toContainText('746.7')
  await page.getByRole('link', { name: 'Shelf' }).click()
  await expect(page.getByRole('status').filter({ hasText: `of ${before + 1}` })).toBeVisible()
})

test('SQL and HTML typed as a name stay text', async ({ page, request }) => {
  const [first] = (await (await request.get('/api/jobs')).json()) as { id: string }[]
  const { job } = (await (await request.get(`/api/jobs/${first!.id}`)).json()) as { job: Record<string, unknown> }
  const title = `<img src=x onerror="document.title='hit'">'; DROP TABLE jobs;--`
  await request.post('/api/jobs', { data: { job: { ...job, title }, reason: 'test' } })
  await page.goto('/')
  await expect(page.getByText(title)).toBeVisible()
  await expect(page).toHaveTitle('Loft Seam')
})

test('cloth and stripes: a narrow cloth is refused in words, a mark moves the stripe', async ({ page }) => {
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
  const width = page.getByRole('textbox', { name: 'Cloth width' })
  await width.fill('700')
  await expect(page.getByRole('alert').filter({ hasText: 'wider than the usable cloth' })).toBeVisible()
  await width.fill('1370')
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
  await page.getByText('Railroaded', { exact: true }).click()
  await expect(page.getByText('The stripe runs along the front edges')).toBeVisible()
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
})

test('keys: stations, typing line, help', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await page.getByRole('heading', { name: 'Each cushion finishes' }).click()
  await page.keyboard.press('Alt+4')
  await expect(page).toHaveURL(/pieces/)
  await page.keyboard.press('/')
  await expect(page.getByLabel('Type what you want')).toBeFocused()
  await page.keyboard.type('?')
  await page.keyboard.press('Enter')
  await expect(page.getByText('What can be typed, and the keys')).toBeVisible()
})

test('no station breaks the accessibility rules, and none is blank at 1024 px', async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 768 })
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  for (const name of ['Measure', 'Filling', 'Make-up', 'Pieces', 'Lay', 'Cut & buy', 'Make', 'Fit', 'Bill']) {
    await station(page, name)
    await expect(page.locator('main .sheet').first()).toBeVisible()
    const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa']).analyze()
    expect(violations.map((v) => `${name}: ${v.id} ${v.nodes[0]!.html}`)).toEqual([])
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
    ).toBeLessThanOrEqual(0)
  }
})

test('ticket, title and customer can be changed; an empty title is not taken', async ({ page }) => {
  await start(page, 'seat 500 x 480 x 60 times 4')
  await page.getByRole('button', { name: /4 cushions/ }).click()
  await page.getByLabel('What it is').fill('Chapel seats')
  await page.getByLabel('Customer').fill('Skerrow Light Trust')
  await page.getByLabel('Customer').press('Tab')
  await page.getByLabel('What it is').fill('')
  await page.getByLabel('Customer').focus()
  await expect(page.getByRole('alert').first()).toContainText('cannot be empty')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('heading', { name: /Chapel seats/ })).toBeVisible()
  await saved(page)
  await page.goto('/')
  await expect(page.getByRole('link', { name: /Chapel seats Skerrow Light Trust/ })).toBeVisible()
})

test('a wrap too long for a one-way cloth is joined on its sides, and says so', async ({ page }) => {
  await start(page, 'seat 600 x 540 x 100 times 4')
  await typeLine(page, 'cloth moss')
  await station(page, 'Make-up')
  await page.getByText('One wrap').click()
  await expect(
    page.getByText('The boxing is longer than the cloth gives: it is joined, both joins alike from its middle.'),
  ).toBeVisible()
  await station(page, 'Pieces')
  await expect(page.getByRole('row', { name: /^Left boxing/ })).toBeVisible()
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /mm, .* waste/ })).toBeVisible()
})

test('an unknown job says so', async ({ page }) => {
  await page.goto('/jobs/nobody/measure')
  await expect(page.getByRole('alert')).toContainText('No job has this id')
})

test('sizing schools, allowances and the book: what applies and who set it', async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80 times 2')
  await station(page, 'Filling')
  await fillingPage(page, 'Sizing')
  await pick(page, 'Sizing school', 'Snug cover')
  await expect(page.getByText('the cushion no longer fills it')).toBeVisible()
  await pick(page, 'Sizing school', 'Wrap, then measure')
  await expect(page.getByText('calculated, not measured')).toBeVisible()
  await page.getByRole('button', { name: 'Enter the measured size' }).click()
  await page.getByRole('textbox', { name: 'Wrapped width' }).fill('604')
  await expect(page.getByText('calculated, not measured')).toBeHidden()
  await station(page, 'Pieces')
  await expect(figure(page, 'Top plate, net width')).toContainText('604')

  await station(page, 'Make-up')
  await makeUpPage(page, 'Allowances')
  const seam = page.getByRole('textbox', { name: 'Seam allowance' })
  await seam.fill('15')
  await expect(page.getByText('this job (book 12 mm)')).toBeVisible()
  await page.getByRole('button', { name: 'By the book' }).click()
  await expect(seam).toHaveValue('12')
  await seam.fill('45')
  await expect(page.getByText('it would be more seam than cloth').first()).toBeVisible()
})

test("the shop's book changes new jobs, not those already started", async ({ page }) => {
  await start(page, 'seat 600 x 500 x 80')
  const older = page.url()
  await page.goto('/')
  await page.getByRole('button', { name: 'Allowance book' }).click()
  const seam = page.getByRole('textbox', { name: 'Seam allowance' })
  await seam.fill('10')
  await page.getByRole('button', { name: 'Keep in the book' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await typeLine(page, 'seat 600 x 500 x 80')
  await expect(page).toHaveURL(/measure/)
  await station(page, 'Make-up')
  await makeUpPage(page, 'Allowances')
  await expect(page.getByRole('textbox', { name: 'Seam allowance' })).toHaveValue('10')
  await page.goto(older)
  await station(page, 'Make-up')
  await makeUpPage(page, 'Allowances')
  await expect(page.getByRole('textbox', { name: 'Seam allowance' })).toHaveValue('12')
  await page.goto('/')
  await page.getByRole('button', { name: 'Allowance book' }).click()
  await seam.fill('12')
  await page.getByRole('button', { name: 'Keep in the book' }).click()
})

test('a figure and its line in the drawing light each other', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await figure(page, 'Cushion width').hover()
  await expect(page.locator('svg .dimension.lit')).toHaveText(/1000 mm/)
  await page.locator('svg .dimension').filter({ hasText: '1000 mm' }).locator('text').hover()
  await expect(figure(page, 'Cushion width')).toHaveClass(/lit/)
})

test('the front is chosen by clicking an edge of the drawing', async ({ page }) => {
  await start(page, 'seat 600 x 400 x 80')
  await expect(figure(page, 'Cushion width')).toContainText('600')
  await clickEdge(page, 'right')
  await page.getByRole('button', { name: 'Make this the front' }).click()
  await expect(figure(page, 'Cushion width')).toContainText('400')
  await expect(figure(page, 'Cushion depth')).toContainText('600')
})

test('a long search shows its progress and can be stopped', async ({ page }) => {
  await start(page, 'bench 4000 x 500 x 80 in 8')
  await typeLine(page, 'cloth ebb')
  await typeLine(page, 'pipe both cord 5 bias')
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Search 10 s more' })).toBeEnabled()
  await page.getByRole('button', { name: 'Search 10 s more' }).click()
  await page.getByRole('button', { name: /^Stop/ }).click()
  await expect(page.getByRole('button', { name: 'Search 10 s more' })).toBeVisible()
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
})

test('the lists print without buttons and boards', async ({ page }) => {
  await page.goto('/')
  await page
    .getByRole('link', { name: /Keepers' bench/ })
    .first()
    .click()
  await station(page, 'Cut & buy')
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print lists and labels' })).toBeHidden()
  await expect(page.getByLabel('Type what you want')).toBeHidden()
  await expect(page.getByRole('row', { name: /Top plate/ })).toBeVisible()
})

test('a dimension line is a way to its field, and so is an opened figure', async ({ page }) => {
  await start(page, 'bench 2000 x 500 x 80 in 2')
  await page.locator('svg .dimension').filter({ hasText: '500 mm' }).locator('text').click()
  const onDrawing = page.getByRole('textbox', { name: 'Depth, on the drawing' })
  await expect(onDrawing).toBeFocused()
  await page.keyboard.type('480')
  await expect(figure(page, 'Cushion depth')).toContainText('480')
  await page.keyboard.press('Enter')
  await expect(onDrawing).toBeHidden()
  await station(page, 'Pieces')
  await figure(page, 'Top plate, cut width').click()
  await page.getByRole('button', { name: 'Change it at make-up' }).click()
  await expect(page.getByRole('textbox', { name: 'Seam allowance' })).toBeFocused()
})

test('a line that may be a slip of unit is asked about, and the reading that is meant is taken', async ({ page }) => {
  await page.goto('/')
  await typeLine(page, 'bench 72 x 18 x 3 in 2')
  const question = page.getByRole('group', { name: /No cushion is only 72 mm wide/ })
  await expect(question.getByRole('button')).toHaveText([
    'Bench 72 mm x 18 mm x 3 mm net, in 2',
    'Bench 72 cm x 18 cm x 3 cm net, in 2',
    'Bench 72 in x 18 in x 3 in net, in 2',
    'None of these',
  ])
  await question.getByRole('button', { name: 'Bench 72 in x 18 in x 3 in net, in 2' }).click()
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
  await expect(page.getByText('72 in').first()).toBeVisible()
})

test('examples are pressed into the line; what people say is understood; undo is a word', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'round stool 350, 70 thick' }).click()
  await expect(page.getByLabel('Type what you want')).toHaveValue('round stool 350, 70 thick')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/jobs\/.+\/measure/)
  await expect(figure(page, 'Cushion width')).toContainText('350')
  await typeLine(page, '?')
  await page.getByRole('button', { name: 'times 1 and 1 mirrored' }).click()
  await expect(page.getByLabel('Type what you want')).toHaveValue('times 1 and 1 mirrored')
  await typeLine(page, 'make it 90 thick')
  await expect(page.locator('output')).toContainText('thickness 90 mm net')
  await expect(figure(page, 'Cushion thickness')).toContainText('90')
  await typeLine(page, 'undo')
  await expect(figure(page, 'Cushion thickness')).toContainText('70')
  await typeLine(page, 'due in 2 weeks')
  await expect(page.locator('output')).toContainText(/Due [A-Z]\w+day \d+ [A-Z]\w+ 20\d\d/)
})

test('a ticket is begun field by field, in inches, with nothing taken silently', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'New ticket' }).first().click()
  const dialog = page.getByRole('dialog', { name: 'A new ticket' })
  await expect(dialog.getByRole('alert')).toHaveCount(0)
  await dialog.getByText('inches, eighths').click()
  await dialog.getByLabel('Width, along the front').fill('24 1/2')
  await dialog.getByLabel('Depth, front to back').fill('20')
  await dialog.getByLabel('Thickness of the cushion').fill('4')
  await dialog.getByRole('textbox', { name: 'Cushions' }).fill('2')
  await pick(page, 'Use', 'lounge, daily seat')
  // A cloth without stripes stands there to begin with.
  await expect(dialog.getByText(/wide, plain$/)).toBeVisible()
  await dialog.getByLabel('Customer').fill('Skerrow Light Trust')
  await dialog.getByRole('button', { name: 'Begin the ticket' }).click()
  await expect(page).toHaveURL(/measure/)
  await expect(figure(page, 'Cushion width')).toContainText('24 1/2')
  await expect(page.getByText('Skerrow Light Trust')).toBeVisible()
  await station(page, 'Filling')
  await expect(page.getByText(/holds 110 to 220 lb/).first()).toBeVisible()
  await station(page, 'Lay')
  await expect(page.getByRole('heading', { name: /waste/ })).toBeVisible()
})
