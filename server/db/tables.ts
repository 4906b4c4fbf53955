import { integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** A job's newest revision, with what lists show of it. */
export const jobs = sqliteTable('jobs', {
  id: text('id').primaryKey(),
  ticket: text('ticket').notNull(),
  title: text('title').notNull(),
  customer: text('customer').notNull(),
  revision: integer('revision').notNull(),
  savedAt: text('saved_at').notNull(),
  document: text('document').notNull(),
})

/** Every revision ever saved; never changed, never deleted. */
export const jobRevisions = sqliteTable(
  'job_revisions',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    revision: integer('revision').notNull(),
    savedAt: text('saved_at').notNull(),
    reason: text('reason').notNull(),
    document: text('document').notNull(),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.revision] })],
)

/** Shop lists: each row one grade or cloth as a document of its schema. */
export const grades = sqliteTable('grades', { id: text('id').primaryKey(), place: integer('place').notNull(), document: text('document').notNull() })
export const cloths = sqliteTable('cloths', { id: text('id').primaryKey(), place: integer('place').notNull(), document: text('document').notNull() })

/** Foam that lies in the shop, each row a piece as a document of its schema. */
export const foamStock = sqliteTable('foam_stock', { id: text('id').primaryKey(), place: integer('place').notNull(), document: text('document').notNull() })

/** One row: the shop's settings with its allowance book. */
export const shop = sqliteTable('shop', { id: integer('id').primaryKey(), document: text('document').notNull() })
