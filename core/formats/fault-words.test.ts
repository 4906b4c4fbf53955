import { describe, expect, it } from 'vitest'
import { outlineFaultWords } from './fault-words.ts'
import { readOutlineFile } from './index.ts'

const wordsOf = (name: string, text: string): string => {
  const read = readOutlineFile(name, text)
  return read.ok ? 'an outline' : outlineFaultWords(read.error)
}
const svg = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="400mm" viewBox="0 0 600 400">${inside}</svg>`

describe('why a drawing gives no outline, in words', () => {
  it.each([
    ['seat.pdf', 'anything', 'Only .dxf and .svg'],
    ['seat.svg', '<svg', 'cannot be read'],
    ['seat.svg', svg(''), 'No line was found'],
    ['seat.svg', svg('<path d="M0 0 L600 0 L600 400"/>'), 'closes: the smallest gap is'],
    ['seat.svg', svg('<path d="M0 0 L600 400 L600 0 L0 400 Z"/>'), 'crosses or touches itself'],
    ['seat.svg', svg('<path d="M0 0 L600 0 L0 0 Z"/>'), 'crosses or touches itself'],
    [
      'seat.svg',
      svg('<path d="M0 0 L600 400 L600 0 L0 400 Z"/><path d="M0 0 L600 0 L600 400 L0 400 Z"/>'),
      'an outline',
    ],
    ['seat.svg', svg('<path d="M0 0 L0.5 0 L0.5 0.4 L0 0.4 Z"/>'), 'mm large, which is no seat'],
    [
      'seat.svg',
      svg(
        `<path d="M${Array.from({ length: 1200 }, (_, i) => `${(300 + (290 - (i % 2) * 9) * Math.cos((i * Math.PI) / 600)).toFixed(3)} ${(200 + (190 - (i % 2) * 9) * Math.sin((i * Math.PI) / 600)).toFixed(3)}`).join(' L')} Z"/>`,
      ),
      'at most 1000 are taken',
    ],
    ['seat.svg', svg('<path d="M0 0 L600 0 L600 400 L0 400 Z"/>'), 'an outline'],
  ])('%s %#', (name, text, says) => expect(wordsOf(name, text)).toContain(says))

  it('one open line and several are told apart', () => {
    expect(outlineFaultWords({ code: 'nothing-closed', lines: 1, gapMm: 3.25 })).toContain(
      'None of its 1 line closes: the smallest gap is 3.3 mm',
    )
    expect(outlineFaultWords({ code: 'nothing-closed', lines: 4, gapMm: 12 })).toContain('None of its 4 lines closes')
  })

  it('what was passed over is named, and a tiny size is not told as 0', () => {
    expect(outlineFaultWords({ code: 'nothing-drawn', skipped: ['2 texts', '1 picture'] })).toContain(
      '(2 texts; 1 picture)',
    )
    expect(outlineFaultWords({ code: 'size', mm: 0.0254 })).toContain('0.025 mm large')
    expect(outlineFaultWords({ code: 'size', mm: 60_960.4 })).toContain('60960 mm large')
  })
})
