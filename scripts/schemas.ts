import { z } from 'zod'
import { Job, JOB_VERSION, Lay, LayProblem } from '../contract/index.ts'

const published = (schema: z.ZodType, title: string): string =>
  `${JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input' }) }, null, 2)}\n`

/** The published formats, by file name in docs/formats. */
export const SCHEMAS: Readonly<Record<string, string>> = {
  'job.schema.json': published(Job, `Loft Seam job file, version ${JOB_VERSION}`),
  'lay-problem.schema.json': published(LayProblem, 'Loft Seam lay problem, version 1'),
  'lay.schema.json': published(Lay, 'Loft Seam lay, version 1'),
}
