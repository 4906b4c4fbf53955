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
  /** The card of this revision; null until it is worked out. */
  card: text('card'),
  /** The import that brings it: it stays out of sight until all of that import is here. */
  comingWith: text('coming_with'),
})

/**
 * Every revision ever saved; none is ever deleted. The newest is kept whole, older ones as what they differ in from a
 * whole one.
 */
export const jobRevisions = sqliteTable(
  'job_revisions',
  {
    jobId: text('job_id')
      .notNull()
      .references(() => jobs.id),
    revision: integer('revision').notNull(),
    savedAt: text('saved_at').notNull(),
    reason: text('reason').notNull(),
    /** Empty where the document is kept packed. */
    document: text('document').notNull(),
    packed: blob('packed', { mode: 'buffer' }),
    /** The whole revision of the same job that a packed one is unpacked with. */
    packedOn: integer('packed_on'),
  },
  (t) => [primaryKey({ columns: [t.jobId, t.revision] })],
)

/** Shop lists: each row one grade or cloth as a document of its schema. */
export const grades = sqliteTable('grades', {
  id: text('id').primaryKey(),
  place: integer('place').notNull(),
  document: text('document').notNull(),
})
export const cloths = sqliteTable('cloths', {
  id: text('id').primaryKey(),
  place: integer('place').notNull(),
  document: text('document').notNull(),
})

/** Foam that lies in the shop, each row a piece as a document of its schema. */
export const foamStock = sqliteTable('foam_stock', {
  id: text('id').primaryKey(),
  place: integer('place').notNull(),
  document: text('document').notNull(),
})

/** One row: the shop's settings with its allowance book. */
export const shop = sqliteTable('shop', { id: integer('id').primaryKey(), document: text('document').notNull() })

/** Zips, cord, thread and the like, with what is in hand. */
export const trims = sqliteTable('trims', {
  id: text('id').primaryKey(),
  place: integer('place').notNull(),
  document: text('document').notNull(),
})

/** What was taken from the shelf, or came back, and for which job; never changed. */
export const stockMoves = sqliteTable('stock_moves', {
  id: text('id').primaryKey(),
  at: text('at').notNull(),
  jobId: text('job_id'),
  document: text('document').notNull(),
})

/** Photos of fitted cushions, small enough to live in the database and its backups. */
export const photos = sqliteTable('photos', {
  id: text('id').primaryKey(),
  jobId: text('job_id').notNull(),
  takenAt: text('taken_at').notNull(),
  type: text('type').notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
})

/** Older releases kept the hashes of the passphrases here; they live in a file of their own now. */
export const access = sqliteTable('access', { id: integer('id').primaryKey(), document: text('document').notNull() })

/** The highest revision each job ever had: a restore goes on above it, so that no number comes twice. */
export const revisionFloors = sqliteTable('revision_floors', {
  jobId: text('job_id').primaryKey(),
  revision: integer('revision').notNull(),
})

/** What could not be read at a start, as its bytes, out of the way of everything else. */
export const setAside = sqliteTable('set_aside', {
  id: text('id').primaryKey(),
  at: text('at').notNull(),
  /** The table it stood in, and what a person knows it by. */
  stoodIn: text('stood_in').notNull(),
  name: text('name').notNull(),
  why: text('why').notNull(),
  bytes: blob('bytes', { mode: 'buffer' }).notNull(),
})

/** One row, written to see whether the file takes writes. */
export const pulse = sqliteTable('pulse', { id: integer('id').primaryKey(), at: text('at').notNull() })
