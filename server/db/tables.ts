import { blob, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core'

/** A job's newest revision, with what lists show of it. */
export const jobs = sqliteTable('jobs', {
  id: text('id').primaryKey(),
  ticket: text('ticket').notNull(),
  title: text('title').notNull(),
  customer: text('customer').notNull(),
  revision: integer('revision').notNull(),
  savedAt: text('saved_at').notNull(),
  document: text('document').notNull(),
  /** The card of this revision; null where an older release saved it. */
  card: text('card'),
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

/** Zips, cord, thread and the like, with what is in hand. */
export const trims = sqliteTable('trims', { id: text('id').primaryKey(), place: integer('place').notNull(), document: text('document').notNull() })

/** What was taken from the shelf, or came back, and for which job; never changed. */
export const stockMoves = sqliteTable('stock_moves', { id: text('id').primaryKey(), at: text('at').notNull(), jobId: text('job_id'), document: text('document').notNull() })

/** Photos of fitted cushions, small enough to live in the database and its backups. */
export const photos = sqliteTable('photos', { id: text('id').primaryKey(), jobId: text('job_id').notNull(), takenAt: text('taken_at').notNull(), type: text('type').notNull(), bytes: blob('bytes', { mode: 'buffer' }).notNull() })

/** One row: the hashes of the passphrases, by role. */
export const access = sqliteTable('access', { id: integer('id').primaryKey(), document: text('document').notNull() })
