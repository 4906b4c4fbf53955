import type { TableState } from '../../contract/index.ts'

/** A file on the table. */
export interface Run {
  readonly name: string
  readonly totalMm: number
  readonly speedMmS: number
  /** Where the cloth will bunch; null: nowhere. */
  readonly jamAtMm: number | null
}

/** What a simulated table is at: nothing, a file it does not take, or so far along one. */
export type AtTable =
  | { readonly kind: 'idle' }
  | { readonly kind: 'refused'; readonly why: string }
  | {
      readonly kind: 'run'
      readonly run: Run
      readonly doneMm: number
      readonly motion: 'moving' | 'stopped' | 'jammed'
      readonly sinceMs: number
    }

export const IDLE: AtTable = { kind: 'idle' }

export const begun = (run: Run, nowMs: number): AtTable => ({
  kind: 'run',
  run,
  doneMm: 0,
  motion: 'moving',
  sinceMs: nowMs,
})

/** The same when time has passed, `hurry` simulated seconds in each real one; it jams where it is to jam, once. */
export function movedOn(at: AtTable, nowMs: number, hurry: number): AtTable {
  if (at.kind !== 'run' || at.motion !== 'moving') return at
  const { run, doneMm, sinceMs } = at
  const nextMm = Math.min(run.totalMm, doneMm + ((nowMs - sinceMs) / 1000) * run.speedMmS * hurry)
  return run.jamAtMm !== null && doneMm < run.jamAtMm && nextMm >= run.jamAtMm
    ? { ...at, doneMm: run.jamAtMm, motion: 'jammed', sinceMs: nowMs }
    : { ...at, doneMm: nextMm, sinceMs: nowMs }
}

export const resumed = (at: AtTable, nowMs: number): AtTable =>
  at.kind === 'run' && at.motion !== 'moving' ? { ...at, motion: 'moving', sinceMs: nowMs } : at

/** Stopped a second time it lets go of the cloth. */
export const stopped = (at: AtTable): AtTable =>
  at.kind === 'run' && at.motion !== 'stopped' ? { ...at, motion: 'stopped' } : IDLE

/** The name of the file that is not cut to its end yet. */
export const unfinished = (at: AtTable): string | null =>
  at.kind === 'run' && at.doneMm < at.run.totalMm ? at.run.name : null

/** As it answers. */
export function stateOf(at: AtTable): TableState {
  if (at.kind !== 'run') return at
  const { name, totalMm } = at.run
  const along = { name, doneMm: Math.round(at.doneMm), totalMm: Math.round(totalMm) }
  if (at.doneMm >= totalMm) return { kind: 'done', name, totalMm: along.totalMm }
  switch (at.motion) {
    case 'moving':
      return { kind: 'cutting', ...along }
    case 'stopped':
      return { kind: 'stopped', ...along }
    case 'jammed':
      return { kind: 'jammed', ...along, why: JAMMED }
    default:
      return at.motion satisfies never
  }
}

const JAMMED = 'The cloth has bunched under the knife. Smooth it, then resume: it goes on where it was.'
