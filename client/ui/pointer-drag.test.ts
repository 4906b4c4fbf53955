// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { followPointer } from './pointer-drag.ts'

let frames: (() => void)[] = []
let heard: string[] = []
const runFrames = () => frames.splice(0).forEach((run) => run())
const at = (clientX: number, clientY: number, pointerId = 1): PointerEventInit => ({ clientX, clientY, pointerId })
const tell = (name: string, init: PointerEventInit) => window.dispatchEvent(new PointerEvent(name, init))

beforeEach(() => {
  frames = []
  heard = []
  vi.stubGlobal('requestAnimationFrame', (run: () => void) => frames.push(run))
  vi.stubGlobal('cancelAnimationFrame', (n: number) => n > 0 && (frames[n - 1] = () => {}))
  followPointer(new PointerEvent('pointerdown', at(100, 100)), {
    onMove: (_event, { x, y }) => heard.push(`${x},${y}`),
    onEnd: (how) => heard.push(how),
  })
})

afterEach(() => void tell('pointerup', at(0, 0)))

describe('a pointer that was pressed', () => {
  it('moves once a frame, by the last of its moves', () => {
    tell('pointermove', at(110, 100))
    tell('pointermove', at(130, 105))
    runFrames()
    expect(heard).toEqual(['30,5'])
  })

  it('let go where it was, give or take a hair, was a click', () => {
    tell('pointermove', at(102, 101))
    tell('pointerup', at(102, 101))
    expect(heard).toEqual(['clicked'])
  })

  it('let go drops the move that still waits for its frame, and hears no more', () => {
    tell('pointermove', at(150, 100))
    tell('pointerup', at(150, 100))
    runFrames()
    tell('pointermove', at(190, 100))
    runFrames()
    expect(heard).toEqual(['dropped'])
  })

  it.each([
    ['Escape', () => window.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }))],
    ['the browser, for scrolling', () => tell('pointercancel', at(150, 100))],
  ])('is taken back by %s', (_name, takeBack) => {
    tell('pointermove', at(150, 100))
    runFrames()
    takeBack()
    tell('pointerup', at(150, 100))
    expect(heard).toEqual(['50,0', 'taken back'])
  })

  it('does not hear another finger', () => {
    tell('pointermove', at(300, 300, 2))
    tell('pointerup', at(300, 300, 2))
    runFrames()
    expect(heard).toEqual([])
    tell('pointerup', at(100, 100))
  })
})
