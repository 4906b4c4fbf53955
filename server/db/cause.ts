/** Why the database file did not take or give something, in words that say what to do. */
export interface Cause {
  readonly kind: 'full' | 'locked' | 'read-only' | 'missing' | 'damaged'
  readonly says: string
}

const CAUSES: readonly (readonly [RegExp, Cause])[] = [
  [
    /^(SQLITE_FULL|SQLITE_IOERR_WRITE|ENOSPC|EDQUOT)/,
    {
      kind: 'full',
      says: 'The disk of the shop is full: make room on it, then save again. What was saved before is whole.',
    },
  ],
  [
    /^SQLITE_(BUSY|LOCKED)/,
    {
      kind: 'locked',
      says: 'Another program holds the database file: close it there, then try again. What was saved before is whole.',
    },
  ],
  [
    /^(SQLITE_READONLY|EROFS|EACCES|EPERM)/,
    {
      kind: 'read-only',
      says: 'The database file, or its folder, may not be written to: give this program leave to write there, then try again.',
    },
  ],
  [
    /^(SQLITE_CANTOPEN|ENOENT)/,
    { kind: 'missing', says: 'The folder of the database cannot be reached: bring it back, then try again.' },
  ],
  [
    /^SQLITE_(CORRUPT|NOTADB|IOERR)/,
    {
      kind: 'damaged',
      says: 'The database file is damaged, or its disk fails: stop the program and put a backup in its place.',
    },
  ],
]

/** What lies behind an error of the database or the disk, however it was wrapped; null for any other error. */
export function causeOf(error: unknown): Cause | null {
  const codes = codesOf(error)
  return CAUSES.find(([pattern]) => codes.some((code) => pattern.test(code)))?.[1] ?? null
}

/** Codes of an error and of what caused it, the finer ones first. */
export function codesOf(error: unknown): readonly string[] {
  if (typeof error !== 'object' || error === null) return []
  const { extendedCode, code, cause } = error as { extendedCode?: unknown; code?: unknown; cause?: unknown }
  return [...[extendedCode, code].filter((c) => typeof c === 'string'), ...codesOf(cause)]
}
