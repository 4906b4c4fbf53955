import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Job, StoredJob } from '../../contract/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import type { Effect, Sending, Session } from './session.ts'
import { opened, transition, type SessionEvent } from './transition.ts'

const stored = (revision: number, job: Job = keepersBench()): StoredJob => ({
  id: 'a',
  revision,
  savedAt: '2026-03-02T09:00:00.000Z',
  job,
})
const edited = (change: Partial<Job>, session: Session): SessionEvent => ({
  kind: 'edited',
  job: { ...session.job, ...change },
  says: Object.keys(change).join(),
  key: null,
})
const after = (session: Session, ...events: ((s: Session) => SessionEvent)[]): Session =>
  events.reduce((s, event) => transition(s, event(s)).session, session)
const sendingOf = (effects: readonly Effect[]): Sending | null =>
  effects.flatMap((e) => (e.kind === 'send' ? [e.sending] : []))[0] ?? null

describe('an open job', () => {
  const fresh = opened(stored(4), 0)

  it('an edit is kept at once, and sent on its revision when the pause is over', () => {
    const { session, effects } = transition(fresh, edited({ note: 'soft' }, fresh))
    expect(effects).toEqual([{ kind: 'keep-draft' }, { kind: 'save-after', ms: 700 }])
    const due = transition(session, { kind: 'save-due' })
    expect(sendingOf(due.effects)).toMatchObject({ id: 'a', base: 4, says: 'note', job: { note: 'soft' } })
    expect(transition(due.session, { kind: 'save-due' }).effects).toEqual([])
  })

  it('what was typed while a save was under way is sent on the revision that came of it', () => {
    const sent = transition(
      after(fresh, (s) => edited({ note: 'one' }, s)),
      { kind: 'save-due' },
    )
    const typed = after(sent.session, (s) => edited({ note: 'two' }, s))
    const sending = sendingOf(sent.effects)!
    const done = transition(typed, { kind: 'saved', sending, stored: stored(5, sending.job) })
    expect(done.effects.map((e) => e.kind)).toEqual(['keep-draft', 'save-after'])
    expect(sendingOf(transition(done.session, { kind: 'save-due' }).effects)).toMatchObject({
      base: 5,
      job: { note: 'two' },
    })
  })

  it('an answer that was lost is asked for again, as it was sent, before anything newer', () => {
    const sent = transition(
      after(fresh, (s) => edited({ note: 'one' }, s)),
      { kind: 'save-due' },
    )
    const sending = sendingOf(sent.effects)!
    const lost = after(
      sent.session,
      () => ({ kind: 'not-saved', sending, why: 'away', isLost: true }),
      (s) => edited({ note: 'two' }, s),
    )
    expect(sendingOf(transition(lost, { kind: 'save-due' }).effects)).toBe(sending)
  })

  it('undo takes back what was done here and leaves what came in', () => {
    const both = after(
      fresh,
      (s) => edited({ note: 'mine' }, s),
      () => ({ kind: 'heard', revision: 5 }),
      () => ({ kind: 'read', heard: 5, stored: stored(5, { ...keepersBench(), title: 'theirs' }) }),
    )
    expect([both.job.note, both.job.title, both.conflict]).toEqual(['mine', 'theirs', null])
    const undone = transition(both, { kind: 'undone', step: both.past.at(-1)! }).session
    expect([undone.job.note, undone.job.title]).toEqual([keepersBench().note, 'theirs'])
  })

  it('one thing changed by both is a question: nothing is sent until it is answered', () => {
    const asked = after(
      fresh,
      (s) => edited({ title: 'mine' }, s),
      () => ({ kind: 'read', heard: 5, stored: stored(5, { ...keepersBench(), title: 'theirs' }) }),
    )
    expect([asked.job.title, asked.conflict?.revision]).toEqual(['mine', 5])
    expect(transition(asked, { kind: 'save-due' }).effects).toEqual([])
    expect(sendingOf(transition(asked, { kind: 'kept-mine' }).effects)).toMatchObject({
      base: 5,
      job: { title: 'mine' },
    })
    const theirs = transition(asked, { kind: 'took-theirs' })
    expect([theirs.session.job.title, theirs.session.past.at(-1)!.job.title]).toEqual(['theirs', 'mine'])
  })

  it('of two drafts that clash the second is asked about, with the day of what is saved', () => {
    const draft = (title: string) => ({
      kind: 'found-draft' as const,
      draft: { job: { ...keepersBench(), title }, base: keepersBench(), sent: null },
    })
    const asked = after(
      fresh,
      () => draft('one'),
      () => draft('two'),
    )
    expect([asked.job.title, asked.conflict?.job.title, asked.conflict?.savedAt]).toEqual([
      'two',
      'one',
      stored(4).savedAt,
    ])
  })

  it('whatever happens, one save is under way at a time, of this job, on a revision that was known', () => {
    const event = fc.constantFrom(
      'edit',
      'due',
      'saved',
      'lost',
      'refused',
      'elsewhere',
      'undo',
      'redo',
      'mine',
      'theirs',
    )
    fc.assert(
      fc.property(fc.array(event, { maxLength: 60 }), (kinds) => {
        let session = opened(stored(1), 0)
        let [underWay, newest]: [Sending | null, StoredJob] = [null, stored(1)]
        const known = new Set([1])
        const step = (next: SessionEvent) => {
          const out = transition(session, next)
          session = out.session
          known.add(session.revision)
          const sending = sendingOf(out.effects)
          if (!sending) return
          expect(underWay).toBeNull()
          expect(sending.id).toBe('a')
          expect(known.has(sending.base)).toBe(true)
          underWay = sending
        }
        kinds.forEach((kind, i) => {
          const sending = underWay
          if (kind === 'edit') step(edited({ note: `${i}` }, session))
          else if (kind === 'due') step({ kind: 'save-due' })
          else if (kind === 'undo' && session.past.at(-1)) step({ kind: 'undone', step: session.past.at(-1)! })
          else if (kind === 'redo' && session.future.at(-1)) step({ kind: 'redone', step: session.future.at(-1)! })
          else if (kind === 'mine') step({ kind: 'kept-mine' })
          else if (kind === 'theirs') step({ kind: 'took-theirs' })
          else if (kind === 'elsewhere') {
            newest = stored(newest.revision + 1, { ...newest.job, title: `${i}` })
            step({ kind: 'heard', revision: newest.revision })
            step({ kind: 'read', heard: newest.revision, stored: newest })
          } else if (sending) {
            underWay = null
            if (kind !== 'saved') return step({ kind: 'not-saved', sending, why: 'no', isLost: kind === 'lost' })
            if (sending.base !== newest.revision)
              return step({ kind: 'clashed', sending, theirs: newest, hadArrived: false })
            newest = stored(newest.revision + 1, sending.job)
            step({ kind: 'saved', sending, stored: newest })
          }
        })
        if (session.conflict === null && session.saveState.kind === 'saved') expect(session.job).toEqual(session.saved)
      }),
      { numRuns: 200 },
    )
  })
})
