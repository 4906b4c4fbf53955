import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { jobOf, setFoam } from '../../core/job/index.ts'
import { seeded } from '../../core/random/index.ts'
import { DEMO_GRADES, keepersBenchPart } from '../../core/demo/index.ts'
import { useJob } from '../stores/job.ts'
import { usePress } from '../stores/press.ts'
import { simulatedPress } from './simulated-press.ts'
import { showJob } from '../testing/show-job.ts'

const TEST = {
  family: 'conventional',
  lengthMm: 500,
  widthMm: 400,
  thicknessMm: 80,
  massKg: 0.48,
  discMm: 200,
  presses: [],
  isSimulated: false,
} as const
const STILL = { sdShare: 0, hysteresis: 0.25, wrongShare: 0 }

describe('a press and the foam test', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.useFakeTimers()
    showJob(jobOf(setFoam('', (foam) => ({ ...foam, test: { ...TEST, presses: [] } })).apply(keepersBenchPart())))
  })
  const test = () => {
    const { filling } = useJob().job!
    return filling.kind === 'foam' ? filling.test! : null
  }

  it('takes every reading of a stroke, marked as simulated, as one step to undo', () => {
    const device = simulatedPress(seeded(1))
    usePress().connect(device)
    device.stroke({ grade: DEMO_GRADES[1]!, thicknessMm: 80, discMm: 200 }, STILL, [])
    expect(test()!.presses.map((p) => p.sinkMm)).toEqual([8, 16, 24, 32, 40, 48, 56, 44, 32])
    expect(test()!.isSimulated).toBe(true)
    useJob().undo()
    expect(test()!.presses).toEqual([])
  })

  it('refuses what cannot be, in words, and changes nothing', () => {
    let send: (r: { forceN: number; travelMm: number }) => void = () => {}
    const press = usePress()
    press.connect({ name: 'Bench press', isSimulated: false, connect: (onReading) => ((send = onReading), () => {}) })
    for (const reading of [
      { forceN: 0, travelMm: 10 },
      { forceN: 50, travelMm: 90 },
      { forceN: Number.NaN, travelMm: 10 },
    ]) {
      send(reading)
      expect(press.said).toContain('not taken')
    }
    expect(test()!.presses).toEqual([])
    showJob(jobOf(keepersBenchPart()))
    send({ forceN: 50, travelMm: 10 })
    expect(press.said).toContain('No foam test is open')
  })

  it('put away, it sends no more', () => {
    const device = simulatedPress(seeded(1))
    const press = usePress()
    press.connect(device)
    press.disconnect()
    device.stroke({ grade: DEMO_GRADES[1]!, thicknessMm: 80, discMm: 200 }, STILL, [])
    expect(test()!.presses).toEqual([])
  })
})
