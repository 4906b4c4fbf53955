import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { slotOf } from '../../core/seat/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import type { TapeDriver, TapeReading } from '../tape/driver.ts'
import { simulatedTape } from '../tape/simulated-tape.ts'
import { useJob } from './job.ts'
import { useTape } from './tape.ts'
import { showJob } from '../testing/show-job.ts'

/** A driver that sends what the test tells it, as a real tape's would. */
function handTape() {
  let send: (r: TapeReading) => void = () => {}
  let fail: (why: string) => void = () => {}
  const driver: TapeDriver = {
    name: 'Test tape',
    isSimulated: false,
    connect: (onReading, onFailure) => {
      send = onReading
      fail = onFailure
      return () => (send = () => {})
    },
  }
  return { driver, press: (mm: number) => send({ mm, at: new Date(2026, 2, 4, 10) }), fail: (why: string) => fail(why) }
}

describe('a tape and the field that has the focus', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    vi.useFakeTimers()
    showJob(keepersBench())
  })
  const depths = () => slotOf(useJob().job!.seat, 'depth')!.dimension.readings

  it('the first reading replaces what stood there, the next are added, with their day', () => {
    const tape = useTape()
    const hand = handTape()
    tape.connect(hand.driver)
    tape.aim({ slot: 'depth', label: 'Depth' })
    hand.press(470)
    hand.press(471.5)
    expect(depths()).toEqual([
      { mm: 470, on: '2026-03-04' },
      { mm: 471.5, on: '2026-03-04' },
    ])
    expect(tape.said).toBe('Depth: 471.5 mm taken')
    tape.aim({ slot: 'thickness', label: 'Thickness' })
    tape.aim({ slot: 'depth', label: 'Depth' })
    hand.press(468)
    expect(depths().map((r) => r.mm)).toEqual([468])
  })

  it('says what is missing or cannot be, and changes nothing', () => {
    const tape = useTape()
    const hand = handTape()
    tape.connect(hand.driver)
    const before = JSON.stringify(useJob().job)
    hand.press(470)
    expect(tape.said).toContain('No field has the focus')
    tape.aim({ slot: 'depth', label: 'Depth' })
    for (const mm of [0, -4, 25_000, Number.NaN]) {
      hand.press(mm)
      expect(tape.said).toContain('not taken')
    }
    hand.fail('the battery is empty')
    expect(tape.said).toBe('the battery is empty')
    expect(JSON.stringify(useJob().job)).toBe(before)
  })

  it('put away, it sends no more', () => {
    const tape = useTape()
    const device = simulatedTape(() => 0.5)
    tape.connect(device)
    expect(tape.isConnected).toBe(true)
    expect(device.isSimulated).toBe(true)
    tape.aim({ slot: 'depth', label: 'Depth' })
    tape.disconnect()
    device.press(999, { sdMm: 0, grossShare: 0 })
    expect(depths().map((r) => r.mm)).toEqual([468, 468])
  })
})
