// Pictures of each main view at 1280 x 800 from a fresh demo: node scripts/screenshots.mjs ADDRESS FOLDER
// It logs fits and older jobs, so that there is something to see; start the demo over afterwards.
import { chromium } from '@playwright/test'
import { CHROMIUM } from './chromium.mjs'

const [address = 'http://127.0.0.1:4173', folder = 'docs/screenshots'] = process.argv.slice(2)
const browser = await chromium.launch(CHROMIUM)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address })
page.on('console', (m) => m.type() === 'error' && process.stderr.write(`${m.text()}\n`))
page.on('pageerror', (e) => process.stderr.write(`${e}\n`))
const shot = (name) => page.screenshot({ path: `${folder}/${name}.png` })
const read = async (path) => (await page.request.get(path)).json()
const jobs = await read('/api/jobs')
const idOf = (ticket) => jobs.find((j) => j.ticket === ticket).id
const open = async (path, wait = 900) => {
  await page.goto(path)
  await page.waitForTimeout(wait)
}
const station = (ticket, name, wait) => open(`/jobs/${idOf(ticket)}/${name}`, wait)
const tab = (group, name) => page.getByRole('radiogroup', { name: group }).getByText(name, { exact: true }).click()

await open('/')
await shot('shelf')
for (const [name, wait] of [
  ['measure'],
  ['filling'],
  ['make-up'],
  ['pieces'],
  ['lay', 6500],
  ['lists', 2600],
  ['make'],
  ['bill', 2600],
]) {
  await station('SL-02', name, wait)
  await shot(name)
}
await station('SL-03', 'make-up', 6000)
await tab('View', 'All, standing')
await page.waitForTimeout(3000)
await shot('set')
// On a phone, at the bench.
const phone = await browser.newPage({
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  isMobile: true,
  baseURL: address,
})
await phone.goto(`/jobs/${idOf('SL-02')}/make`)
await phone.waitForTimeout(1500)
await phone.screenshot({ path: `${folder}/phone.png` })
await phone.close()
// The bench made up, on a tablet held upright.
const tablet = await browser.newPage({
  viewport: { width: 768, height: 1024 },
  hasTouch: true,
  isMobile: true,
  baseURL: address,
})
await tablet.goto(`/jobs/${idOf('SL-02')}/make-up`)
await tablet.waitForTimeout(2000)
await tablet.getByRole('radiogroup', { name: 'View' }).getByText('All, standing', { exact: true }).tap()
await tablet.waitForTimeout(3000)
await tablet.screenshot({ path: `${folder}/tablet.png` })
await tablet.close()
for (const [path, name] of [
  ['/calendar', 'calendar'],
  ['/trims', 'trims'],
  ['/cloth', 'cloth-store'],
  ['/foam', 'foam-store'],
]) {
  await open(path)
  if (name === 'trims') await page.getByRole('button', { name: 'Ask the supplier' }).click()
  await page.waitForTimeout(500)
  await shot(name)
}
await open('/records')
await page.getByRole('button', { name: 'What is in it' }).first().click()
await page.waitForTimeout(1500)
await shot('records')

// Fits on the bench, and seven older benches that finished a little long.
const { job, revision } = await read(`/api/jobs/${idOf('SL-02')}`)
const fit = (widthMm, depthMm, verdict) => ({
  day: '2026-03-02',
  widthMm,
  depthMm,
  thicknessMm: 76,
  verdict,
  wrinkles: '',
  stripesOffMm: 1,
})
const fits = { A1: fit(751, 469, 'right'), A2: fit(752, 471, 'loose'), A3: fit(750, 468, 'right') }
await page.request.put(`/api/jobs/${idOf('SL-02')}`, {
  headers: { 'x-page': 'pictures' },
  data: { job: { ...job, fitting: { ...job.fitting, fits } }, baseRevision: revision, reason: 'fitted' },
})
for (const [i, by] of [1.0071, 1.0063, 1.0078, 1.0069, 1.007, 1.0074, 1.0062].entries()) {
  const old = { A1: fit(746.67 * by, 468 * (1 + (by - 1) / 3), 'right') }
  await page.request.post('/api/jobs', {
    headers: { 'x-page': 'pictures' },
    data: {
      job: {
        ...job,
        ticket: `SL-8${i}`,
        making: { steps: {}, papers: {}, stockTakenOn: null },
        fitting: { ...job.fitting, fits: old },
        terms: { ...job.terms, stage: 'billed', archivedOn: '2026-03-02' },
      },
      reason: 'older bench',
    },
  })
}
await station('SL-02', 'fit', 1500)
await shot('fit')
await open('/learnt', 1500)
await shot('learnt')
await browser.close()
