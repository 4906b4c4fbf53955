import { phrase } from '../language/index.ts'
import type { Learned, WorkKind } from '../../contract/index.ts'
import { MOST_RESERVE_MM } from '../cover/index.ts'
import { middleOfRight } from '../filling/index.ts'
import { WORK } from '../making/index.ts'
import { formatAmount, formatLengthWithUnit, trimmed, type LengthUnit } from '../units/index.ts'
import { spreadOf, type Spread } from './bias.ts'
import type { Evidence, FitEvidence } from './evidence.ts'

/** Something the logs say, with what it rests on; nothing changes until it is accepted. */
export interface Proposal {
  readonly learned: Learned
  readonly says: string
  readonly evidence: readonly {
    readonly label: string
    readonly value: number
    readonly planned: number
    readonly measured: number
  }[]
  readonly spread: Spread
}

/** Less than this is not worth a change. */
const WORTH = { size: 0.002, rate: 0.1, waste: 0.02, fit: 0.004, firmness: 0.05, reserve: 0.1 } as const

/** What may be proposed from the logs of all jobs, leaving out what was accepted already; in words with these lengths. */
export function proposals(
  evidence: Evidence,
  learned: readonly Learned[],
  today: string,
  lengths: LengthUnit,
): readonly Proposal[] {
  const known = new Set(learned.map(aboutOf))
  return [
    ...sizeProposals(evidence, today),
    ...rateProposals(evidence, today),
    ...wasteProposals(evidence, today),
    ...firmnessProposals(evidence, today, lengths),
    ...reserveProposals(evidence, today, lengths),
    ...fitProposals(evidence, today),
  ].filter((p) => !known.has(aboutOf(p.learned)))
}

/** What it was learnt of: of one thing there is one lesson. */
function aboutOf(l: Learned): string {
  switch (l.kind) {
    case 'size':
    case 'reserve':
      return `${l.kind} ${l.makeUp} ${l.clothId}`
    case 'rate':
      return `rate ${l.work}`
    case 'waste':
      return `waste ${l.clothId}`
    case 'firmness':
      return `firmness ${l.gradeId}`
    case 'fit-window':
      return `fit-window ${l.firmness}`
    default:
      return l satisfies never
  }
}

/** Values of one job say the same thing over: its cushions count as one, by their median. */
function byJob<T extends { readonly ticket: string }>(rows: readonly T[], valueOf: (row: T) => number): number[] {
  const tickets = [...new Set(rows.map((r) => r.ticket))]
  return tickets.map((t) => spreadOf(rows.filter((r) => r.ticket === t).map(valueOf)).median)
}

function grouped<T>(rows: readonly T[], keyOf: (row: T) => string): readonly (readonly T[])[] {
  return [...new Set(rows.map(keyOf))].map((key) => rows.filter((r) => keyOf(r) === key))
}

function sizeProposals({ fits }: Evidence, today: string): readonly Proposal[] {
  return grouped(fits, (f) => `${f.makeUp} ${f.clothId} ${f.foam}`).flatMap((rows) => {
    const [first] = rows
    const ways = (['widthMm', 'depthMm'] as const).map((way) => {
      const own = rows.filter((r) => r.measured[way] !== null)
      return { way, own, spread: spreadOf(byJob(own, (r) => r.measured[way]! / r.planned[way] - 1)) }
    })
    const found = ways.filter((w) => w.spread.isBias && Math.abs(w.spread.median) >= WORTH.size)
    if (found.length === 0) return []
    const shareOf = (way: 'widthMm' | 'depthMm') => limited(found.find((w) => w.way === way)?.spread.median ?? 0)
    const says = phrase`${sentence(first!.makeUp)} covers in ${first!.cloth} over ${first!.foam} finish ${found.map((w) => phrase`${trimmed(Math.abs(w.spread.median) * 1000, 1)} mm ${w.spread.median > 0 ? 'too large' : 'too small'} to the metre in ${w.way === 'widthMm' ? 'width' : 'depth'}`).join(' and ')}: cut them ${correctionWords(found.map((w) => w.spread.median))}.`
    const strongest = found.toSorted((a, b) => Math.abs(b.spread.median) - Math.abs(a.spread.median))[0]!
    return [
      {
        learned: {
          kind: 'size',
          makeUp: first!.makeUp,
          clothId: first!.clothId,
          widthShare: shareOf('widthMm'),
          depthShare: shareOf('depthMm'),
          says: says.slice(0, 300),
          on: today,
        },
        says,
        evidence: strongest.own.map((r) => point(r, strongest.way)),
        spread: strongest.spread,
      },
    ]
  })
}

/** `0.7 % and 0.2 % smaller`, or each its own way. */
function correctionWords(shares: readonly number[]): string {
  const says = shares.map((share) => `${trimmed(Math.abs(share) * 100, 2)} %`)
  const ways = shares.map((share) => (share > 0 ? 'smaller' : 'larger'))
  return new Set(ways).size === 1
    ? phrase`${says.join(' and ')} ${ways[0]!}`
    : says.map((one, i) => phrase`${one} ${ways[i]!}`).join(' and ')
}

const point = (r: FitEvidence, way: 'widthMm' | 'depthMm') => ({
  label: phrase`${r.ticket}, cushion ${r.cushion}`,
  value: r.measured[way]! / r.planned[way] - 1,
  planned: r.planned[way],
  measured: r.measured[way]!,
})

const sentence = (words: string): string => words.slice(0, 1).toUpperCase() + words.slice(1)

const limited = (share: number): number => Math.max(-0.1, Math.min(0.1, share))

/** A spread of logarithms as shares of what was planned. */
const asShares = (spread: Spread): Spread => ({
  ...spread,
  median: Math.expm1(spread.median),
  spread: Math.expm1(spread.spread),
})

/** Ratios are judged by their logarithm, so that twice and half weigh alike. */
function rateProposals({ times }: Evidence, today: string): readonly Proposal[] {
  return grouped(times, (t) => t.work).flatMap((rows) => {
    const work: WorkKind = rows[0]!.work
    const spread = spreadOf(byJob(rows, (r) => Math.log(r.workedMin / r.plannedMin)))
    const factor = Math.exp(spread.median)
    if (!spread.isBias || Math.abs(factor - 1) < WORTH.rate || factor < 0.1 || factor > 10) return []
    const says = phrase`${WORK[work].label}: it takes ${trimmed(factor, 2)} times as long as planned.`
    return [
      {
        learned: { kind: 'rate', work, factor, says, on: today },
        says,
        evidence: rows.map((r) => ({
          label: r.ticket,
          value: r.workedMin / r.plannedMin - 1,
          planned: r.plannedMin,
          measured: r.workedMin,
        })),
        spread: asShares(spread),
      },
    ]
  })
}

function wasteProposals({ cloths }: Evidence, today: string): readonly Proposal[] {
  return grouped(cloths, (c) => c.clothId).flatMap((rows) => {
    const spread = spreadOf(byJob(rows, (r) => Math.log(r.usedMm / r.laidMm)))
    const factor = Math.exp(spread.median)
    if (!spread.isBias || Math.abs(factor - 1) < WORTH.waste || factor < 0.5 || factor > 3) return []
    const says = phrase`${rows[0]!.cloth}: ${trimmed(Math.abs(factor - 1) * 100, 1)} % ${factor > 1 ? 'more' : 'less'} is used than its lay is long.`
    return [
      {
        learned: { kind: 'waste', clothId: rows[0]!.clothId, factor, says, on: today },
        says,
        evidence: rows.map((r) => ({
          label: r.ticket,
          value: r.usedMm / r.laidMm - 1,
          planned: r.laidMm,
          measured: r.usedMm,
        })),
        spread: asShares(spread),
      },
    ]
  })
}

/** A grade under which sitters rest deeper, or higher, than its figures say. */
function firmnessProposals({ fits }: Evidence, today: string, lengths: LengthUnit): readonly Proposal[] {
  const sat = fits.flatMap((f) => (f.sat ? [{ ...f.sat, ticket: f.ticket, cushion: f.cushion }] : []))
  return grouped(sat, (s) => s.gradeId).flatMap((rows) => {
    const spread = spreadOf(byJob(rows, (r) => Math.log(r.factor)))
    const factor = Math.exp(spread.median)
    if (!spread.isBias || Math.abs(factor - 1) < WORTH.firmness || factor < 0.3 || factor > 3) return []
    const says = phrase`${rows[0]!.grade} acts ${trimmed(Math.abs(factor - 1) * 100, 0)} % ${factor < 1 ? 'softer' : 'firmer'} than its figures, by what was left under sitters: its forces in the catalogue times ${trimmed(factor, 2)}.`
    return [
      {
        learned: { kind: 'firmness', gradeId: rows[0]!.gradeId, factor, says, on: today },
        says,
        evidence: rows.map((r) => ({
          label: phrase`${r.ticket}, cushion ${r.cushion}, ${formatAmount(r.massKg, 'mass', lengths)}`,
          value: r.factor - 1,
          planned: r.plannedMm,
          measured: r.leftMm,
        })),
        spread: asShares(spread),
      },
    ]
  })
}

/** Covers that keep a part of what is left to trim: so much longer they are wanted. */
function reserveProposals({ trims }: Evidence, today: string, lengths: LengthUnit): readonly Proposal[] {
  const left = trims.filter((t) => t.leftMm > 0)
  return grouped(left, (t) => `${t.makeUp} ${t.clothId}`).flatMap((rows) => {
    const { makeUp, clothId, cloth } = rows[0]!
    const spread = spreadOf(byJob(rows, (r) => 1 - r.trimmedMm / r.leftMm))
    const mm = spreadOf(byJob(rows, (r) => r.leftMm - r.trimmedMm)).median
    if (!spread.isBias || spread.median < WORTH.reserve || mm > MOST_RESERVE_MM) return []
    const says = phrase`${sentence(makeUp)} covers in ${cloth} keep ${formatLengthWithUnit(mm, lengths)} of what is left to trim: leave more than that.`
    return [
      {
        learned: { kind: 'reserve', makeUp, clothId, mm, says, on: today },
        says,
        evidence: rows.map((r) => ({
          label: r.ticket,
          value: 1 - r.trimmedMm / r.leftMm,
          planned: r.leftMm,
          measured: r.leftMm - r.trimmedMm,
        })),
        spread,
      },
    ]
  })
}

/** Where cushions that were judged right lie away from the middle of the window. */
function fitProposals({ fits }: Evidence, today: string): readonly Proposal[] {
  const judged = fits.filter((f) => f.verdict === 'right' && f.fitShare !== null && f.firmness !== null)
  return grouped(judged, (f) => f.firmness!).flatMap((rows) => {
    const middle = middleOfRight(rows[0]!.firmness!)
    const spread = spreadOf(byJob(rows, (r) => r.fitShare! - middle))
    if (!spread.isBias || Math.abs(spread.median) < WORTH.fit) return []
    const says = phrase`${sentence(rows[0]!.firmness!)} foam: covers that were judged right squeeze it ${trimmed((middle + spread.median) * 100, 1)} %; the window moves by ${trimmed(spread.median * 100, 1)} %.`
    return [
      {
        learned: {
          kind: 'fit-window',
          firmness: rows[0]!.firmness!,
          shiftShare: limited(spread.median),
          says,
          on: today,
        },
        says,
        evidence: rows.map((r) => ({
          label: phrase`${r.ticket}, cushion ${r.cushion}`,
          value: r.fitShare! - middle,
          planned: middle,
          measured: r.fitShare!,
        })),
        spread,
      },
    ]
  })
}
