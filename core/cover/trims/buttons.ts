import type { Buttons } from '../../../contract/index.ts'
import { at, boxOf, isInside, type Outline, type Point } from '../../outline/index.ts'
import { figure, given, minus, plus, times, type Figure, type Operand } from '../../working/index.ts'
import type { Fitting } from '../cover.ts'
import type { PanelDraft } from '../parts/index.ts'
import type { Fullness, Mark } from '../panel.ts'
import { stripPanel } from './strip-panel.ts'

export interface ButtonPlan {
  readonly places: readonly Point[]
  /** Places that fall outside the plate. */
  readonly outside: number
  /** Added to the plate each way where buttons are pulled deep; null for none. */
  readonly fullness: { readonly x: Fullness | null; readonly y: Fullness | null }
  readonly fittings: readonly Fitting[]
  /** Squares of cloth from which the discs that cover them are trimmed. */
  readonly panels: readonly PanelDraft[]
  readonly marks: readonly Mark[]
}

/** Twine goes through the block twice at each button and is tied off with so much to hold. */
const TWINE_SPARE_MM = 300

/**
 * A grid of buttons on a plate: rows front to back, so many across, staggered rows one fewer between
 * them. A span a between deep buttons of depth q needs √(a² + 4q²): the plate is wider by the sum
 * over a row. Twine 2·(t + 300) a button, doubled; a disc of cloth twice its diameter, one on each face.
 */
export function planButtons(buttons: Buttons, plate: Outline, thickness: Figure): ButtonPlan {
  const box = boxOf(plate)
  const { marginMm: m } = buttons
  const [width, depth] = [box.maxX - box.minX - 2 * m, box.maxY - box.minY - 2 * m]
  const places = Array.from({ length: buttons.rows }, (_, r) => {
    const y = box.minY + m + (buttons.rows === 1 ? depth / 2 : (depth * r) / (buttons.rows - 1))
    const isShort = buttons.layout === 'staggered' && r % 2 === 1 && buttons.across > 1
    const count = isShort ? buttons.across - 1 : buttons.across
    const step = buttons.across === 1 ? 0 : width / (buttons.across - 1)
    const start = buttons.across === 1 ? width / 2 : isShort ? step / 2 : 0
    return Array.from({ length: count }, (_, k) => at(box.minX + m + start + k * step, y))
  }).flat()
  const span = (from: number, length: number, gaps: number): Fullness | null =>
    buttons.depthMm > 0 && gaps > 0 && length > 0
      ? { mm: fullnessOf(length / gaps, gaps, buttons.depthMm), from, to: from + length }
      : null
  return {
    places,
    outside: width < 0 || depth < 0 ? places.length : places.filter((p) => !isInside(plate, p)).length,
    fullness: { x: span(box.minX + m, width, buttons.across - 1), y: span(box.minY + m, depth, buttons.rows - 1) },
    fittings: fittingsOf(places.length, thickness),
    panels: places.length > 0 ? [discOf(buttons, places.length)] : [],
    marks: places.map((p): Mark => ({ kind: 'button', label: 'button', path: [p] })),
  }
}

function fullnessOf(a: number, gaps: number, q: number): Figure {
  const root = given(Math.sqrt(a * a + 4 * q * q), 'length', 'between neighbours, along the cloth')
  return figure({
    id: 'buttons.fullness',
    label: 'Fullness for deep buttons',
    quantity: 'length',
    sum: times(given(gaps, 'count', 'spans'), minus(root, given(a, 'length', 'between neighbours, straight'))),
    rule: 'the cloth dips to every button: a span a takes √(a² + 4q²), pulled to a depth q',
    setBy: 'rule',
    change: 'make-up.buttons',
  })
}

/** A disc twice the button wide for each of both faces, cut as a square that is trimmed round over the button. */
function discOf({ diameterMm }: Buttons, count: number): PanelDraft {
  const across = times(2, given(diameterMm, 'length', 'button'))
  return stripPanel(
    'button-disc',
    'Square for a covered button',
    2 * count,
    across,
    across,
    'twice the button, trimmed round over it; one on each face',
  )
}

function fittingsOf(count: number, thickness: Figure): readonly Fitting[] {
  const both = given(2 * count, 'count', 'buttons, one on each face')
  const counted = (what: string, use: Fitting['use'], amount: Figure, note: string): Fitting => ({
    what,
    use,
    amount,
    note,
  })
  const twine: Operand = times(
    given(count, 'count', 'places'),
    given(2, 'plain', 'doubled'),
    given(2, 'plain', 'there and back'),
    plus(thickness, given(TWINE_SPARE_MM, 'length', 'to tie')),
  )
  return [
    counted(
      'Buttons, covered',
      'buttons',
      figure({
        id: 'buttons.count',
        label: 'Buttons',
        quantity: 'count',
        sum: both,
        rule: 'one on each face at every place',
      }),
      'buttons through the block: the cover cannot be washed',
    ),
    counted(
      'Button twine',
      'twine',
      figure({
        id: 'buttons.twine',
        label: 'Button twine',
        quantity: 'length',
        sum: twine,
        rule: '2 x (thickness + 300 mm) at each place, doubled',
      }),
      '',
    ),
  ]
}
