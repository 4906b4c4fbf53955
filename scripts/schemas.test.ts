import { readFileSync } from 'node:fs'
import path from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { readJob } from '../contract/index.ts'
import { demoJobs, keepersBench } from '../core/demo/index.ts'
import { SCHEMAS } from './schemas.ts'

const FORMATS = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '../docs/formats')

it.each(Object.keys(SCHEMAS))('docs/formats/%s is what the code says (else: npm run schemas)', (file) => {
  expect(readFileSync(path.join(FORMATS, file), 'utf8')).toBe(SCHEMAS[file])
})

it('the example job file is the demo ticket', () => {
  const example: unknown = JSON.parse(readFileSync(path.join(FORMATS, 'example.job.json'), 'utf8'))
  const read = readJob(example)
  expect(read.ok && read.value).toEqual(keepersBench())
})

it('the example of a set is a demo ticket of two parts', () => {
  const example: unknown = JSON.parse(readFileSync(path.join(FORMATS, 'example-set.job.json'), 'utf8'))
  const read = readJob(example)
  expect(read.ok && read.value).toEqual(demoJobs().find((j) => j.ticket === 'SL-03'))
  expect(read.ok && read.value.parts.map((p) => p.name)).toEqual(['Seats', 'Backs'])
})
