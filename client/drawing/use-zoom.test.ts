// @vitest-environment happy-dom
import { describe, expect, it } from 'vitest'
import { effectScope, ref, shallowRef } from 'vue'
import { scaleWithin } from './use-scale.ts'
import { useZoom } from './use-zoom.ts'

const NONE = { left: 0, right: 0, top: 0, bottom: 0 }
/** 1000 x 500 mm on 500 x 250 pixels: half a pixel for a millimetre. */
function zoomed(wheel: 'plain' | 'with-control' = 'plain') {
  const place = document.createElement('div')
  place.getBoundingClientRect = () => ({ left: 0, top: 0 }) as DOMRect
  const base = shallowRef(scaleWithin({ width: 500, height: 250 }, { minX: 0, minY: 0, maxX: 1000, maxY: 500 }, NONE))
  const zoom = effectScope().run(() => useZoom(ref(place), base, { wheel }))!
  const key = (name: string) => place.dispatchEvent(new KeyboardEvent('keydown', { key: name, cancelable: true }))
  const roll = (clientX: number, clientY: number, deltaY: number, ctrlKey = false) =>
    place.dispatchEvent(Object.assign(new Event('wheel', { cancelable: true }), { clientX, clientY, deltaY, ctrlKey }))
  return { zoom, key, roll }
}

describe('a drawing that is enlarged', () => {
  it('keeps what is under the pointer where it is, to scale', () => {
    const { zoom, roll } = zoomed()
    const before = [zoom.scale.value.x(800), zoom.scale.value.y(100)]
    roll(before[0]!, before[1]!, -600)
    expect(zoom.factor.value).toBeGreaterThan(2)
    expect(zoom.scale.value.x(800)).toBeCloseTo(before[0]!, 6)
    expect(zoom.scale.value.y(100)).toBeCloseTo(before[1]!, 6)
    expect(zoom.scale.value.x(900) - zoom.scale.value.x(800)).toBeCloseTo(100 * zoom.scale.value.k, 6)
  })

  it('by keys: larger about its middle, moved no farther than its edge, and all of it again', () => {
    const { zoom, key } = zoomed()
    key('+')
    // 1.5 times as large, the middle still at 250 pixels.
    expect(zoom.scale.value.x(500)).toBeCloseTo(250, 6)
    expect(zoom.scale.value.x(0)).toBeCloseTo(-125, 6)
    for (let i = 0; i < 9; i++) key('ArrowLeft')
    expect(zoom.scale.value.x(0)).toBeCloseTo(0, 6)
    key('0')
    expect([zoom.factor.value, zoom.scale.value.x(1000)]).toEqual([1, 500])
  })

  it('brings a place into sight, and leaves one that is seen', () => {
    const { zoom, key } = zoomed()
    for (let i = 0; i < 4; i++) key('+')
    zoom.bring(zoom.scale.value.x(980), zoom.scale.value.y(250))
    expect(zoom.scale.value.x(980)).toBeLessThanOrEqual(500)
    const { x } = zoom.scale.value
    zoom.bring(250, 125)
    expect(zoom.scale.value.x(500)).toBe(x(500))
  })

  it('where the page scrolls by the wheel it does so still, but with Control', () => {
    const { zoom, roll } = zoomed('with-control')
    roll(250, 125, -300)
    expect(zoom.factor.value).toBe(1)
    roll(250, 125, -300, true)
    expect(zoom.factor.value).toBeGreaterThan(1)
  })
})
