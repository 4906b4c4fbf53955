import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { PartJob } from '../../contract/index.ts'
import { partJob } from '../../core/job/index.ts'
import { editingOf } from '../session/editing.ts'
import { keepOpenJob } from '../session/open-job.ts'
import { openingFor } from '../session/opening.ts'
import { runSession } from '../session/running.ts'
import type { Session } from '../session/session.ts'
import { usePlanInView } from './plan-in-view.ts'

/** The open job: its session (see `client/session/transition.ts`), its plan, and what people do to it. */
export const useJob = defineStore('job', () => {
  const running = runSession()
  const { kept, here, hear, show, flush } = running
  const { session, plan, inView, part, warningsAt, look, lookOn } = usePlanInView(running.session)
  const { open, isOpen, lookAgain } = openingFor(running)
  const editing = editingOf(running, inView)
  keepOpenJob({ isOpen, hear, lookAgain })

  const of = <T>(read: (s: Session) => T, none: T) => computed(() => (session.value ? read(session.value) : none))
  return {
    id: of((s) => s.id, ''),
    revision: of((s) => s.revision, 0),
    /** The ticket as the part in view sees it, and the ticket whole. */
    job: of<PartJob | null>((s) => partJob(s.job, inView.value), null),
    whole: of<Session['job'] | null>((s) => s.job, null),
    inView,
    look,
    lookOn,
    /** What is planned of the part in view. */
    part,
    warningsAt,
    past: of<Session['past']>((s) => s.past, []),
    future: of<Session['future']>((s) => s.future, []),
    saveState: of<Session['saveState']>((s) => s.saveState, { kind: 'waiting' }),
    conflict: of<Session['conflict']>((s) => s.conflict, null),
    told: of((s) => s.told, ''),
    session,
    plan,
    kept,
    isOpen,
    hear,
    lookAgain,
    open,
    show,
    flush,
    ...editing,
    /** My version goes on top of theirs; theirs stays in the history. */
    keepMine: () => here({ kind: 'kept-mine' }),
    /** Their version is opened; mine can be had back with undo. */
    takeTheirs: () => here({ kind: 'took-theirs' }),
    /** What was told has been read. */
    dismiss: () => here({ kind: 'dismissed' }),
  }
})
