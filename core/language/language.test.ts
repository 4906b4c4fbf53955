import { afterEach, describe, expect, it } from 'vitest'
import { listed, phrase, sentence, shown, speak } from './index.ts'

const GERMAN = {
  Boxed: 'Mit Steg',
  left: 'links',
  zip: 'Reißverschluss',
  '{0} labels on {1} sheets': '{1} Bogen mit {0} Etiketten',
  'Not translated yet': '',
  ' and ': ' und ',
}

afterEach(() => speak(null))

describe('words in the language of the shop', () => {
  it('without a dictionary everything is said as it is written', () => {
    expect(phrase`${3} labels on ${2} sheets`).toBe('3 labels on 2 sheets')
    expect(sentence('{0} of {0}, {1}', 'a', 2)).toBe('a of a, 2')
    expect([shown('left'), shown(12), shown(null)]).toEqual(['left', 12, null])
    expect(listed(['boxed', '', null, false, 'piped'])).toBe('boxed, piped')
  })

  it('a sentence is looked up by its form, its figures go where the language wants them', () => {
    speak(GERMAN)
    expect(phrase`${3} labels on ${2} sheets`).toBe('2 Bogen mit 3 Etiketten')
    expect(phrase`${3} things on ${2} sheets`).toBe('3 things on 2 sheets')
  })

  it('words within it are looked up too: alone, numbered, in small letters, several', () => {
    speak(GERMAN)
    expect(phrase`${'left'} ${1}`).toBe('links 1')
    expect(shown('left 2')).toBe('links 2')
    expect(shown('boxed')).toBe('mit Steg')
    expect(shown('Left')).toBe('Links')
    expect(shown('left, zip 3')).toBe('links, Reißverschluss 3')
    expect(listed(['left', 'zip'], ' and ')).toBe('links und Reißverschluss')
  })

  it('what is not translated yet is said in English, and nothing of an object answers', () => {
    speak(GERMAN)
    expect(shown('Not translated yet')).toBe('Not translated yet')
    expect(['Pile', 'constructor', 'toString'].map((w) => shown(w))).toEqual(['Pile', 'constructor', 'toString'])
  })

  it('figures stand as they are, even where they look like a place', () => {
    speak({ 'Ticket {0}': 'Zettel {0}' })
    expect(phrase`Ticket ${'{0} {1}'}`).toBe('Zettel {0} {1}')
  })
})
