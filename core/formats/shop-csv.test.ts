import { jobOf } from '../job/index.ts'
import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { jobCard } from '../card/index.ts'
import { DEMO_TRIMS, keepersBenchPart } from '../demo/index.ts'
import { shelfCsv, trimsCsv } from './index.ts'

const read = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true, delimiter: ',' }).data

it('jobs on a line each; a title that looks like a formula stays a title', () => {
  const summary = {
    id: 'x',
    ticket: 'SL-02',
    title: '=2+2',
    customer: 'Trust, "Skerrow"',
    revision: 3,
    savedAt: '2026-03-02T09:00:00.000Z',
    card: jobCard(jobOf(keepersBenchPart())),
  }
  const [row] = read(shelfCsv([summary]))
  expect(row).toMatchObject({
    ticket: 'SL-02',
    title: "'=2+2",
    customer: 'Trust, "Skerrow"',
    cushions: '3',
    makeUp: 'boxed',
    cloth: 'Lamp-room ticking',
    steps: '32',
    due: '',
  })
})

it('trims on a line each', () => {
  const rows = read(trimsCsv(DEMO_TRIMS))
  expect(rows).toHaveLength(DEMO_TRIMS.length)
  expect(rows[0]).toMatchObject({ name: 'Coil zip, size 5, by the metre', use: 'zip', unit: 'm', inHand: '62' })
})
