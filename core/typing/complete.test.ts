import { describe, expect, it } from 'vitest'
import { JOB_LIMITS } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { completionsOf, GRAMMAR, readTyped, typingWords, type TypingContext } from './index.ts'

const context: TypingContext = {
  job: keepersBenchPart(),
  units: 'mm',
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
}
const lines = (text: string) => completionsOf(text, context).map((c) => c.line)

describe('how a line may go on', () => {
  it.each([
    ['ben', ['bench ']],
    ['thick', ['thickness ']],
    ['benhc', ['bench ']],
    ['depht 470', ['depth 470']],
    ['cloth storm', ['cloth storm canvas']],
    ['makeup knife', ['makeup knife-edge']],
    ['close zip in the', ['close zip in the seam']],
    ['cl', ['clearance ', 'close ', 'cloth ']],
    ['xyzzy', []],
    ['bench', []],
    ['', []],
  ])('%s', (text, expected) => expect(lines(text)).toEqual(expected))

  it('what is offered of names is understood as it stands', () => {
    for (const text of ['cloth ', 'foam gannet', 'makeup '])
      for (const line of lines(text)) expect(readTyped(line, context)).toMatchObject({ ok: true })
  })

  it('every word of the help is known, and never more than five are offered', () => {
    for (const { example } of GRAMMAR) {
      const word = example.split(' ')[0]!
      for (let n = 1; n < word.length; n++) {
        const offered = lines(word.slice(0, n))
        expect(offered.length).toBeLessThanOrEqual(5)
      }
      expect(lines(`${word} `).every((l) => l.startsWith(`${word} `))).toBe(true)
    }
  })

  it('of a word that is only begun nothing is guessed', () => {
    for (const text of ['cl', 'be', 'ma', 'cus']) expect(readTyped(text, context).ok, text).toBe(false)
  })

  it('a word that is none is answered with the nearest', () => {
    const read = readTyped('depht 470', context)
    expect(read.ok ? '' : typingWords(read.error)).toContain('Is "depth" meant?')
    const far = readTyped('sofa 3', context)
    expect(far.ok ? '' : typingWords(far.error)).not.toContain('meant?')
  })
})
