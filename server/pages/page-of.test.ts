import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { pageOf } from './page-of.ts'

const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-pages-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const HTML = '<html><head><title>Loft Seam</title></head><body></body></html>'
/** The job page and its stations share a part that imports itself round about. */
const MANIFEST = {
  'index.html': { file: 'assets/first.js' },
  'job/JobPage.vue': { file: 'assets/job.js', imports: ['_shared.js', 'index.html'], css: ['assets/job.css'] },
  'stations/measure/MeasureStation.vue': { file: 'assets/measure.js', imports: ['_shared.js'] },
  'stations/make/MakeStation.vue': { file: 'assets/make.js', imports: ['_shared.js'] },
  'stations/make-up/MakeUpStation.vue': { file: 'assets/make-up.js' },
  '_shared.js': { file: 'assets/shared.js', imports: ['job/JobPage.vue'] },
}

function built(name: string, manifest: object | null) {
  const dir = path.join(folder, name)
  mkdirSync(path.join(dir, '.vite'), { recursive: true })
  writeFileSync(path.join(dir, 'index.html'), HTML)
  if (manifest) writeFileSync(path.join(dir, '.vite', 'manifest.json'), JSON.stringify(manifest))
  return pageOf(dir)
}
const named = (html: string): readonly string[] => [...html.matchAll(/href="([^"]+)"/g)].map(([, href]) => href!)

describe('the page by its address', () => {
  const page = built('whole', MANIFEST)

  it('is as it was built for the shelf, and for what is no job', () => {
    for (const address of ['/', '/cloth', '/jobs/', '/jobs/<script>/measure', '/jobs/a"b', '/jobs/a/measure/more'])
      expect(page(address)).toBe(HTML)
  })
  it('of a job names each of its parts once, its station among them', () => {
    const found = named(page('/jobs/ab-12/make'))
    expect(found.filter((f) => f.endsWith('.js')).toSorted()).toEqual(
      ['first', 'job', 'make', 'shared'].map((f) => `/assets/${f}.js`),
    )
    expect(found).toContain('/assets/job.css')
    expect(found).toHaveLength(5)
  })
  it('goes to Measure where no station is named; one that is none has no part', () => {
    expect(named(page('/jobs/ab-12'))).toContain('/assets/measure.js')
    expect(named(page('/jobs/ab-12/make-up'))).toContain('/assets/make-up.js')
    expect(named(page('/jobs/ab-12/nowhere')).filter((f) => f.endsWith('.js'))).toHaveLength(3)
  })
  it('of a build without a list of its parts is as it was built', () => {
    expect(named(built('plain', null)('/jobs/ab-12'))).toEqual([])
  })
})
