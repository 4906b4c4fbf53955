import { expect, it } from 'vitest'
import { clockWords } from './clock-words.ts'

it.each([
  [0, '0:00:00'],
  [59.9, '0:00:59'],
  [3600 + 5 * 60 + 9, '1:05:09'],
  [36_000, '10:00:00'],
])('%s seconds are %s', (seconds, words) => expect(clockWords(seconds)).toBe(words))
