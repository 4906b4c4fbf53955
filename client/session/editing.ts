import { ref, type Ref } from 'vue'
import { placeOf, readJob, type Job } from '../../contract/index.ts'
import { applyEdit, type Edit, type JobEdit } from '../../core/job/index.ts'
import { phrase } from '../../core/language/index.ts'
import type { Running } from './running.ts'
import { sameJob } from './same-job.ts'
import type { Alongside, Step } from './session.ts'
import type { SessionEvent } from './transition.ts'

export interface Editing {
  /** Why the last edit was not taken; empty where it was. */
  readonly refused: Ref<string>
  /**
   * Applies an edit, of the part in view or of the whole ticket; edits with the same key in a row (typing in one field)
   * undo together.
   */
  readonly edit: (change: Edit | JobEdit, key?: string | null, alongside?: Alongside) => boolean
  /** Keeps with the job what was worked out for it. Nothing to take back, and nothing that anybody did. */
  readonly keepWorkedOut: (says: string, change: (job: Job) => Job) => void
  readonly undo: () => void
  readonly redo: () => void
}

/** What people do to the open job; `inView` is the letter of the part they see. */
export function editingOf({ session, take, here }: Running, inView: Readonly<Ref<string>>): Editing {
  const refused = ref('')

  function edit(change: Edit | JobEdit, key: string | null = null, alongside?: Alongside): boolean {
    const before = session.value?.job
    if (!before) return false
    const changed = 'applyToJob' in change ? change.applyToJob(before) : applyEdit(before, inView.value, change)
    const read = readJob(changed)
    refused.value = read.ok ? '' : phrase`${placeOf(read.faults[0]!)}: ${read.faults[0]!.message}`
    if (!read.ok) return false
    if (!sameJob(read.value, before))
      void here({
        kind: 'edited',
        job: read.value,
        says: change.says,
        key: key && `${inView.value} ${key}`,
        ...(alongside ? { alongside } : {}),
      })
    return true
  }

  function keepWorkedOut(says: string, change: (job: Job) => Job): void {
    const before = session.value?.job
    const read = before && readJob(change(before))
    if (before && read?.ok && !sameJob(read.value, before)) void here({ kind: 'worked-out', job: read.value, says })
  }

  function undo(): void {
    const step = session.value?.past.at(-1)
    if (step) beside(step.alongside?.undo, { kind: 'undone', step })
  }

  function redo(): void {
    const step = session.value?.future.at(-1)
    if (step) beside(step.alongside?.redo, { kind: 'redone', step })
  }

  /**
   * A step is taken once what belongs beside it is done; when that cannot be done the step is not taken, and why is
   * told.
   */
  function beside(work: (() => Promise<unknown>) | undefined, event: SessionEvent & { readonly step: Step }): void {
    const id = session.value!.id
    if (!work) return void take(id, event)
    work().then(
      () => take(id, event),
      (cause: Error) => (refused.value = cause.message),
    )
  }

  return { refused, edit, keepWorkedOut, undo, redo }
}
