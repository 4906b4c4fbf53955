import { jobOf } from '../core/job/index.ts'
import { spawn, spawnSync } from 'node:child_process'
import { once } from 'node:events'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { afterAll, describe, expect, it, vi } from 'vitest'
import { Lay, LayProblem } from '../contract/index.ts'
import { acceptLay } from '../core/lay/index.ts'
import { demoJobs, keepersBench, keepersBenchPart } from '../core/demo/index.ts'

const ROOT = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..')
const folder = mkdtempSync(path.join(tmpdir(), 'loft-seam-commands-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const file = (name: string, content: unknown): string => {
  const full = path.join(folder, name)
  writeFileSync(full, typeof content === 'string' ? content : JSON.stringify(content))
  return full
}
const run = (...words: string[]) => {
  const done = spawnSync(process.execPath, ['--import', 'tsx', path.join(ROOT, 'commands/main.ts'), ...words], {
    cwd: ROOT,
    encoding: 'utf8',
  })
  return { code: done.status, out: done.stdout, err: done.stderr }
}
const box = (w: number, h: number) => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
]
const problem = (pieces: unknown[], cloth: object = { width: 1000 }) => ({
  format: 'loft-seam/lay-problem',
  version: 1,
  cloth,
  pieces,
})

describe('lay', () => {
  it('writes a sound lay and exits 0', () => {
    const given = problem([{ id: 'a', qty: 3, outline: box(400, 300) }])
    const out = path.join(folder, 'lay.json')
    const { code, err } = run('lay', file('good.json', given), '--out', out, '--seconds', '1', '--seed', '5')
    expect(code).toBe(0)
    expect(err).toMatch(/600\.0 mm, bound 360\.0 mm \(area\)/)
    const lay = Lay.parse(JSON.parse(readFileSync(out, 'utf8')))
    expect(lay.seed).toBe(5)
    expect(acceptLay(LayProblem.parse(given), lay)).toEqual([])
  })

  it.each<[string, unknown, RegExp]>([
    [
      'an unknown key',
      problem([{ id: 'a', outline: box(10, 10), weight: 2 }]),
      /\$\.pieces\[0\]\.weight: unknown key weight/,
    ],
    ['a newer version', { ...problem([]), version: 3 }, /\$\.version/],
    [
      'a crossed outline',
      problem([
        {
          id: 'a',
          outline: [
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 9],
          ],
        },
      ]),
      /\$\.pieces\[0\]\.outline: crosses/,
    ],
    ['broken JSON', '{"format":', /is not JSON/],
  ])('%s: exit 2, with the path, and nothing written', (name, content, says) => {
    const out = path.join(folder, `${name}.out.json`)
    const { code, err } = run('lay', file('bad.json', content), '--out', out)
    expect(code).toBe(2)
    expect(err).toMatch(says)
    expect(() => readFileSync(out)).toThrow()
  })

  it('killed in the middle of its search it leaves the best lay it had', async () => {
    const given = problem(
      Array.from({ length: 40 }, (_, i) => ({ id: `p${i}`, outline: box(113 + 17 * i, 71 + 11 * ((7 * i) % 40)) })),
    )
    const out = path.join(folder, 'killed.json')
    const words = ['lay', file('long.json', given), '--out', out, '--seconds', '120']
    const search = spawn(process.execPath, ['--import', 'tsx', path.join(ROOT, 'commands/main.ts'), ...words], {
      cwd: ROOT,
      stdio: 'ignore',
    })
    const ended = once(search, 'exit')
    await vi.waitFor(() => expect(existsSync(out)).toBe(true), { timeout: 100_000, interval: 100 })
    search.kill('SIGKILL')
    expect(await ended).toEqual([null, 'SIGKILL'])
    expect(acceptLay(LayProblem.parse(given), Lay.parse(JSON.parse(readFileSync(out, 'utf8'))))).toEqual([])
  })

  it('no lay within the cloth: exit 3, naming the piece', () => {
    const { code, err } = run(
      'lay',
      file('wide.json', problem([{ id: 'plate', outline: box(1200, 300) }])),
      '--out',
      path.join(folder, 'x.json'),
    )
    expect(code).toBe(3)
    expect(err).toContain('plate is 200.0 mm wider than the usable cloth; turned by 90 it would fit')
  })

  it.each<[string[], RegExp]>([
    [['lay'], /which file/],
    [['lay', 'nowhere.json', '--out', 'x.json'], /no such file/],
    [['lay', 'a.json'], /--out LAY.json is missing/],
    [['lay', 'a.json', '--out', 'x', '--seconds', 'soon'], /--seconds wants a number/],
    [['lay', 'a.json', '--colour', 'x'], /unknown option --colour/],
    [['sew'], /which command/],
  ])('%j is a mistake told in words', (words, says) => {
    const { code, err } = run(...words)
    expect(code).toBe(2)
    expect(err).toMatch(says)
  })
})

describe('plan', () => {
  it('plans the demo job to standard output', () => {
    const { code, out } = run('plan', file('job.json', keepersBench()), '--seconds', '0.5')
    expect(code).toBe(0)
    const plan = JSON.parse(out)
    expect(plan.parts[0].designs[0].cover.panels[0].size.cutWidth.working).toBe('746.7 + 12 + 12 = 770.7 mm cut')
    expect(plan.lays[0].lay.length).toBeGreaterThan(3000)
  })

  it('plans leaning berth halves: two designs, true outlines, every check right', () => {
    const berth = demoJobs().find((j) => j.ticket === 'SL-06')!
    const { code, out } = run('plan', file('berth.json', berth), '--seconds', '0.5')
    expect(code).toBe(0)
    const plan = JSON.parse(out)
    expect(plan.parts[0].designs.map((d: { design: string; count: number }) => [d.design, d.count])).toEqual([
      ['A', 1],
      ['B', 1],
    ])
    expect(plan.parts[0].designs[0].filling.block.note).toContain('knife tilt: hull 24° outwards going up')
    expect(
      plan.parts[0].designs
        .flatMap((d: { cover: { checks: { faults: string[] }[] } }) => d.cover.checks)
        .every((c: { faults: string[] }) => c.faults.length === 0),
    ).toBe(true)
    expect(plan.parts[0].cushions.edges.find((e: { name: string }) => e.name === 'hull')).toMatchObject({
      meets: 'hull',
      leanDegrees: expect.closeTo(24, 6),
    })
  })

  it('a seat that cannot be: exit 3 or a plan that says why, never a crash', () => {
    const job = keepersBenchPart()
    const { out } = run(
      'plan',
      file(
        'crossed.json',
        jobOf({
          ...job,
          seat: {
            ...job.seat,
            front: '1-2',
            footprint: {
              kind: 'points',
              source: { kind: 'typed' },
              template: null,
              points: [
                [0, 0],
                [500, 500],
                [500, 0],
                [0, 400],
              ].map(([x = 0, y = 0]) => ({ x, y, riseMm: 0 })),
            },
          },
        }),
      ),
    )
    expect(JSON.parse(out)).toMatchObject({
      workable: false,
      warnings: [{ code: 'seat-fault', says: 'The outline crosses or touches itself.' }],
    })
  })

  it('a bad job file: exit 2 and the path', () => {
    const { code, err } = run('plan', file('job2.json', { ...keepersBench(), units: 'furlongs' }))
    expect(code).toBe(2)
    expect(err).toContain('$.units')
  })

  it('a job that cannot be laid is still planned: exit 3, with what does not fit', () => {
    const job = keepersBench()
    const out = path.join(folder, 'plan.json')
    const { code, err } = run(
      'plan',
      file('job3.json', { ...job, cloth: { ...job.cloth, cloth: { ...job.cloth.cloth, widthMm: 600 } } }),
      '--out',
      out,
    )
    expect(code).toBe(3)
    expect(err).toContain('wider than the usable cloth')
    expect(JSON.parse(readFileSync(out, 'utf8')).parts[0].designs[0].cover.panels.length).toBeGreaterThanOrEqual(7)
  })
})
