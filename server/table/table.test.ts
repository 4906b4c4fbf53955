import { connect } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { layDrawing, layDxf } from '../../core/formats/index.ts'
import { solveLay } from '../../core/lay/index.ts'
import { planJob } from '../../core/plan/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { dxfOf } from '../testing/drawings.ts'
import { tableOverPort } from './over-port.ts'
import { simulatedTable, type SimulatedTable } from './simulated-table.ts'

const polyline = (layer: string, points: readonly (readonly [number, number])[]) => [
  '0',
  'LWPOLYLINE',
  '8',
  layer,
  '90',
  String(points.length),
  '70',
  '1',
  ...points.flatMap(([x, y]) => ['10', String(x), '20', String(y)]),
]
/** A square of 500: two metres to cut. */
const square = (x = 0, y = 0, layer = 'CUT') =>
  dxfOf(
    ...polyline(layer, [
      [x, y],
      [x + 500, y],
      [x + 500, y + 500],
      [x, y + 500],
    ]),
  )
const file = (dxf: string, more = {}) => ({ name: 'SL-02', dxf, speedMmS: 100, jamAt: null, ...more })

/** On a machine that is busy with other things a drawing takes its time to be read. */
const READS_MS = 100_000

let open: SimulatedTable | null = null
afterEach(async () => {
  await open?.close()
  open = null
})
/** A table and its clock, which stands still until it is put on. */
async function table() {
  let ms = 0
  open = await simulatedTable({ bedMm: [1600, 3000], hurry: 1, now: () => ms, readingMs: READS_MS })
  return {
    port: open.port,
    driver: tableOverPort('127.0.0.1', open.port, READS_MS),
    after: (seconds: number) => (ms += seconds * 1000),
  }
}

describe('the simulated cutting table, over its port', () => {
  it('cuts two metres at 100 mm a second in twenty seconds', async () => {
    const { driver, after } = await table()
    expect(await driver.state()).toEqual({ kind: 'idle' })
    expect(await driver.cut(file(square()))).toEqual({ kind: 'cutting', name: 'SL-02', doneMm: 0, totalMm: 2000 })
    after(5)
    expect(await driver.state()).toMatchObject({ kind: 'cutting', doneMm: 500 })
    after(15)
    expect(await driver.state()).toEqual({ kind: 'done', name: 'SL-02', totalMm: 2000 })
  })

  it('jams where it is told to, and resumes there', async () => {
    const { driver, after } = await table()
    await driver.cut(file(square(), { jamAt: 0.4 }))
    after(12)
    expect(await driver.state()).toMatchObject({ kind: 'jammed', doneMm: 800 })
    after(60)
    expect(await driver.resume()).toMatchObject({ kind: 'cutting', doneMm: 800 })
    after(12)
    expect(await driver.state()).toMatchObject({ kind: 'done' })
  })

  it('stops, keeps its place, and lets go when it is stopped again', async () => {
    const { driver, after } = await table()
    await driver.cut(file(square()))
    after(3)
    expect(await driver.stop()).toMatchObject({ kind: 'stopped', doneMm: 300 })
    expect(await driver.cut(file(square()))).toMatchObject({
      kind: 'refused',
      why: expect.stringMatching(/still at SL-02/),
    })
    expect(await driver.stop()).toEqual({ kind: 'idle' })
  })

  it.each<[string, string, RegExp]>([
    ['no drawing', 'hello', /cannot be cut: it is not a drawing/],
    ['no units', square().replace('$INSUNITS\n70\n4', '$INSUNITS\n70\n1'), /millimetres/],
    ['nothing to cut', square(0, 0, 'SEW'), /nothing on the layer CUT/],
    ['too wide', square(1200), /1700 mm wide, the bed 1600/],
    ['too long', square(0, 2600), /3100 mm long/],
    ['beyond the corner', square(-20), /begin at nought/],
  ])('refuses %s', async (_name, dxf, why) => {
    const { driver } = await table()
    expect(await driver.cut(file(dxf))).toMatchObject({ kind: 'refused', why: expect.stringMatching(why) })
  })

  it('takes a real lay, and its length to cut is that of all outlines', async () => {
    const plan = planJob(keepersBench())
    if (plan.kind !== 'worked') throw new Error('not worked')
    const own = plan.cloth.lays[0]!
    const solved = solveLay(own.problem, { seed: 1, budget: { steps: 2, isStopped: () => false } })
    if (!solved.ok) throw new Error(solved.error.code)
    const dxf = await layDxf(layDrawing('SL-02', own, { ...solved.value.lay, seconds: 0 }, 4))
    open = await simulatedTable({ bedMm: [1600, 12_000], hurry: 1, now: () => 0, readingMs: READS_MS })
    const girth = own.problem.pieces.reduce(
      (sum, p) =>
        sum +
        p.qty *
          p.outline.reduce(
            (g, [x, y], i) =>
              g +
              Math.hypot(p.outline[(i + 1) % p.outline.length]![0] - x, p.outline[(i + 1) % p.outline.length]![1] - y),
            0,
          ),
      0,
    )
    const state = await tableOverPort('127.0.0.1', open.port, READS_MS).cut(file(dxf))
    expect(state).toMatchObject({ kind: 'cutting' })
    expect('totalMm' in state && state.totalMm).toBeCloseTo(girth, -1)
  })

  it('a table that is not there is away, in words', async () => {
    const { port, driver } = await table()
    await open!.close()
    open = null
    expect(port).toBeGreaterThan(0)
    expect(await driver.state()).toMatchObject({ kind: 'away', why: expect.stringMatching(/switched on/) })
  })

  it('answers nonsense in words, and stays up', async () => {
    const { port, driver } = await table()
    const said = await new Promise<string>((resolve) => {
      const socket = connect(port, '127.0.0.1', () => socket.write('{"do":"dance"}\n'))
      socket.on('data', (d) => resolve(String(d)))
    })
    expect(said).toContain('refused')
    expect(await driver.state()).toEqual({ kind: 'idle' })
  })
})
