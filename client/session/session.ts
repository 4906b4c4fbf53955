import type { Job, StoredJob } from '../../contract/index.ts'

export type SaveState =
  | { readonly kind: 'saved' }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'failed'; readonly why: string }

/** What happens beside a change, on the shelves say, and is taken back with it. */
export interface Alongside {
  readonly undo: () => Promise<unknown>
  readonly redo: () => Promise<unknown>
}

/** A job as it stood before a change, or after it, for undo and redo. */
export interface Step {
  readonly job: Job
  readonly says: string
  /** Changes of one key in a row, typing in one field say, undo together. */
  readonly key: string | null
  readonly alongside?: Alongside
}

/** A save under way, or one whose answer was lost. */
export interface Sending {
  readonly id: string
  readonly job: Job
  readonly base: number
  readonly says: string
}

/** One open job in one window. */
export interface Session {
  readonly id: string
  /** As it stands in this window. */
  readonly job: Job
  /** What the edits were made on, and its revision. */
  readonly saved: Job
  readonly revision: number
  readonly savedAt: string
  readonly past: readonly Step[]
  readonly future: readonly Step[]
  readonly saveState: SaveState
  /** Sent and not answered: it is sent again as it was before anything newer, since the server may have it. */
  readonly unanswered: Sending | null
  /** The last change, in words: the reason of the next save. */
  readonly says: string
  /** Theirs, where both changed the same thing and the maker has to choose. */
  readonly conflict: StoredJob | null
  /** What came in from another window and was put together with this one. */
  readonly told: string
  /** The newest revision that was told of, which may be before this window can take it in. */
  readonly heardOf: number
}

/** What a transition wants done; answers come back as events. */
export type Effect =
  | { readonly kind: 'keep-draft' }
  | { readonly kind: 'drop-draft' }
  | { readonly kind: 'save-after'; readonly ms: number }
  | { readonly kind: 'send'; readonly sending: Sending }
  | { readonly kind: 'read' }

export interface Stepped {
  readonly session: Session
  readonly effects: readonly Effect[]
}

/** Neither saving, nor in doubt whether a save arrived, nor waiting for the maker to choose. */
export const isFree = ({ conflict, saveState, unanswered }: Session): boolean =>
  conflict === null && saveState.kind !== 'saving' && unanswered === null
