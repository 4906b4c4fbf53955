import type { OldSizes, Seat } from '../../contract/index.ts'
import type { Raised } from '../warning/index.ts'
import type { SeatWarning } from './warning.ts'
import { USUAL_CLEARANCE_MM } from './clearance.ts'
import { LEAST_CUSHION_MM, type Cushions } from './cushions.ts'
import { spreadLimit, spreadOf } from './dimension.ts'
import type { DivisionFault } from './division/index.ts'
import { tapedSurvey } from './footprints/index.ts'
import type { SeatFault } from './shaped-seat.ts'
import { slotsOf } from './slots.ts'
import { squareness } from './squareness.ts'

/** Why no cushion can be worked out from this seat. */
export const seatFaultWarning = (fault: SeatFault | DivisionFault): Raised<SeatWarning> => ({
  station: 'measure',
  level: 'stop',
  code: 'seat-fault',
  fault,
})

/** What is doubtful about the measurements; `cushions` is null when the seat makes no outline. */
export function seatWarnings(seat: Seat, cushions: Cushions | null): readonly Raised<SeatWarning>[] {
  return [
    ...spreadWarnings(seat),
    ...squareWarnings(seat),
    ...tapeWarnings(seat),
    ...(cushions ? [...sizeWarnings(cushions), ...oldWarnings(seat, cushions)] : []),
    ...aboardWarnings(seat),
  ]
}

function spreadWarnings(seat: Seat): readonly Raised<SeatWarning>[] {
  return slotsOf(seat).flatMap(({ dimension, label }): Raised<SeatWarning>[] => {
    const spread = spreadOf(dimension)
    const limit = spreadLimit(Math.max(...dimension.readings.map((r) => r.mm)))
    return spread > limit
      ? [
          {
            station: 'measure',
            level: 'warning',
            code: 'readings-spread',
            dimension: label.toLowerCase(),
            spread,
            limit,
          },
        ]
      : []
  })
}

function squareWarnings({ footprint }: Seat): readonly Raised<SeatWarning>[] {
  if (footprint.kind !== 'rectangle' && footprint.kind !== 'taper') return []
  if (!footprint.rising || !footprint.falling) return []
  const found = squareness(footprint)
  if (!found) return [{ station: 'measure', level: 'warning', code: 'diagonal-too-short' }]
  return found.isTrue
    ? []
    : [
        {
          station: 'measure',
          level: 'warning',
          code: 'not-square',
          lean: found.leanMm,
          far: found.farMm,
          offset: found.leftOffsetMm,
        },
      ]
}

function tapeWarnings({ footprint }: Seat): readonly Raised<SeatWarning>[] {
  if (footprint.kind !== 'taped') return []
  const read = tapedSurvey(footprint)
  if (!read.ok) return []
  const { suspicion } = read.value
  if (suspicion.kind === 'tape')
    return [
      {
        station: 'measure',
        level: 'warning',
        code: 'tape-suspect',
        tape: suspicion.tape,
        shouldBe: suspicion.shouldBeMm,
        off: suspicion.offMm,
      },
    ]
  return suspicion.kind === 'one-of'
    ? [{ station: 'measure', level: 'warning', code: 'tapes-disagree', tapes: suspicion.tapes }]
    : []
}

function sizeWarnings(cushions: Cushions): readonly Raised<SeatWarning>[] {
  return cushions.designs
    .flatMap(({ solid }): Raised<SeatWarning>[] => {
      const vanishing = (['width', 'depth'] as const)
        .filter((d) => solid[d].value < LEAST_CUSHION_MM)
        .map((dimension): Raised<SeatWarning> => ({
          station: 'measure',
          level: 'stop',
          code: 'cushion-vanishes',
          dimension,
          left: solid[dimension].value,
        }))
      if (vanishing.length > 0) return vanishing
      const shallow = Math.min(solid.depth.value, solid.width.value)
      return solid.thickness.value > shallow
        ? [
            {
              station: 'measure',
              level: 'warning',
              code: 'thickness-over-depth',
              thickness: solid.thickness.value,
              depth: shallow,
            },
          ]
        : []
    })
    .slice(0, 1)
}

/** Old covers pull a block in; labels lie by more. */
const OLD_MAY_DIFFER_MM = 10

function oldWarnings({ old }: Seat, cushions: Cushions): readonly Raised<SeatWarning>[] {
  const now = cushions.designs[0]!.solid
  const compare = (sizes: OldSizes | null, source: 'old cushion' | 'label'): Raised<SeatWarning>[] =>
    (['width', 'depth', 'thickness'] as const).flatMap((dimension): Raised<SeatWarning>[] => {
      const was = sizes?.[`${dimension}Mm`] ?? null
      if (
        was === null ||
        Math.abs(was - now[dimension].value) <= (dimension === 'thickness' ? OLD_MAY_DIFFER_MM / 2 : OLD_MAY_DIFFER_MM)
      )
        return []
      return [
        { station: 'measure', level: 'note', code: 'old-differs', source, dimension, was, now: now[dimension].value },
      ]
    })
  return [...compare(old.measured, 'old cushion'), ...compare(old.label, 'label')]
}

function aboardWarnings(seat: Seat): readonly Raised<SeatWarning>[] {
  const meetsHull = Object.values(seat.edges).some((e) => e.meets === 'hull')
  return meetsHull && seat.clearanceMm < USUAL_CLEARANCE_MM.aboard
    ? [
        {
          station: 'measure',
          level: 'note',
          code: 'hull-clearance',
          clearance: seat.clearanceMm,
          usual: USUAL_CLEARANCE_MM.aboard,
        },
      ]
    : []
}
