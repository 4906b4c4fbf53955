import { sql } from 'drizzle-orm'
import type { Database } from '../db/index.ts'
import { SET_ASIDE } from '../db/unreadable.ts'

/**
 * Takes out what imports that were cut off left: jobs that never came into sight with all that is theirs, and photos of
 * no job.
 */
export async function takeOutUnfinished({ orm, write }: Database): Promise<void> {
  const theirs = sql`(SELECT id FROM jobs WHERE coming_with IS NOT NULL AND coming_with <> ${SET_ASIDE})`
  await write(() =>
    orm.batch([
      orm.run(sql`DELETE FROM job_revisions WHERE job_id IN ${theirs}`),
      orm.run(sql`DELETE FROM jobs WHERE id IN ${theirs}`),
      orm.run(sql`DELETE FROM photos WHERE job_id NOT IN (SELECT id FROM jobs)`),
    ]),
  )
}
