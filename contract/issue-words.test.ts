import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { readWith } from './index.ts'

/** What is said of a value that a schema does not take, in full. */
function said(schema: z.ZodType, value: unknown): string {
  const read = readWith(schema, value)
  return read.ok ? '' : `${read.faults[0]!.path} ${read.faults[0]!.message}`
}

describe('faults in words', () => {
  it.each<[string, z.ZodType, unknown, string]>([
    ['an empty name', z.object({ name: z.string().min(1) }), { name: '' }, '$.name is empty'],
    ['a field left out', z.object({ name: z.string() }), {}, '$.name is missing'],
    ['too long', z.string().max(3), 'bench', '$ must have at most 3 characters'],
    ['too short', z.string().min(2), 'b', '$ must have at least 2 characters'],
    ['too small', z.number().min(10), 4, '$ must be at least 10'],
    ['nought', z.number().positive(), 0, '$ must be more than 0'],
    ['too large', z.number().max(9000), 9001, '$ must be at most 9000'],
    ['not below', z.number().lt(3), 3, '$ must be less than 3'],
    ['no number', z.number(), 'wide', '$ must be a number'],
    ['not a finite one', z.number(), Infinity, '$ must be a number'],
    ['a part of one', z.int(), 1.5, '$ must be a whole number'],
    ['no list', z.array(z.number()), {}, '$ must be a list'],
    ['an empty list', z.array(z.number()).min(1), [], '$ is empty'],
    ['a long list', z.array(z.number()).max(1), [1, 2], '$ must have at most 1 entry'],
    ['none of the choices', z.enum(['board', 'slats']), 'sofa', '$ must be one of board, slats'],
    ['another word', z.literal('mm'), 'ell', '$ must be mm'],
    [
      'a kind there is not',
      z.discriminatedUnion('kind', [z.object({ kind: z.literal('foam') }), z.object({ kind: z.literal('insert') })]),
      { kind: 'straw' },
      '$.kind must be one of foam, insert',
    ],
    ['no day', z.iso.date(), 'Tuesday', '$ must be a day, as 2026-12-04'],
    ['its own words', z.string().regex(/^a/, 'begins with an a'), 'b', '$ begins with an a'],
  ])('%s', (_name, schema, value, words) => expect(said(schema, value)).toBe(words))
})
