import { phrase } from '../language/index.ts'
import type { Dimension, Ear, Footprint, Seat } from '../../contract/index.ts'
import { tapeName } from './footprints/index.ts'

/** One dimension that a footprint wants from the tape, and how to put it back. */
export interface Slot {
  /** Names the slot in fields (`measure.<slot>`), marks and edits. */
  readonly slot: string
  readonly label: string
  readonly dimension: Dimension
  readonly with: (dimension: Dimension) => Seat
}

/** Everything the tape is wanted for on this seat, thickness last. */
export function slotsOf(seat: Seat): readonly Slot[] {
  const isBench = seat.division.kind === 'run' && seat.footprint.kind === 'rectangle'
  const named = (s: FootprintSlot) => (isBench && s.slot === 'width' ? 'Bench length' : s.label)
  const shaped = footprintSlots(seat.footprint).map((s): Slot => ({
    ...s,
    label: named(s),
    with: (d) => ({ ...seat, footprint: s.with(d) }),
  }))
  return [
    ...shaped,
    { slot: 'thickness', label: 'Thickness', dimension: seat.thickness, with: (thickness) => ({ ...seat, thickness }) },
  ]
}

export const slotOf = (seat: Seat, name: string): Slot | undefined => slotsOf(seat).find((s) => s.slot === name)

type FootprintSlot = Omit<Slot, 'with'> & { readonly with: (dimension: Dimension) => Footprint }

function footprintSlots(shape: Footprint): readonly FootprintSlot[] {
  switch (shape.kind) {
    case 'rectangle':
      return [
        { slot: 'width', label: 'Width', dimension: shape.width, with: (width) => ({ ...shape, width }) },
        { slot: 'depth', label: 'Depth', dimension: shape.depth, with: (depth) => ({ ...shape, depth }) },
        ...diagonals(shape),
      ]
    case 'taper':
      return [
        { slot: 'near', label: 'Near width', dimension: shape.near, with: (near) => ({ ...shape, near }) },
        { slot: 'far', label: 'Far width', dimension: shape.far, with: (far) => ({ ...shape, far }) },
        { slot: 'depth', label: 'Depth', dimension: shape.depth, with: (depth) => ({ ...shape, depth }) },
        ...diagonals(shape),
      ]
    case 'disc':
      return [{ slot: 'across', label: 'Across', dimension: shape.across, with: (across) => ({ ...shape, across }) }]
    case 'eared':
      return [
        { slot: 'width', label: 'Width with ears', dimension: shape.width, with: (width) => ({ ...shape, width }) },
        { slot: 'depth', label: 'Depth', dimension: shape.depth, with: (depth) => ({ ...shape, depth }) },
        ...ear('left', shape.left, (left) => ({ ...shape, left })),
        ...ear('right', shape.right, (right) => ({ ...shape, right })),
      ]
    case 'corner-bench':
      return (['lengthA', 'depthA', 'lengthB', 'depthB'] as const).map((slot) => ({
        slot,
        label: CORNER_LABELS[slot],
        dimension: shape[slot],
        with: (d) => ({ ...shape, [slot]: d }),
      }))
    case 'ring':
      return ringSlots(shape)
    case 'berth':
      return [
        ...(['length', 'head', 'foot'] as const).map((slot): FootprintSlot => ({
          slot,
          label: BERTH_LABELS[slot],
          dimension: shape[slot],
          with: (d) => ({ ...shape, [slot]: d }),
        })),
        ...shape.stations.flatMap((s, i): readonly FootprintSlot[] =>
          (['at', 'width'] as const).map((key) => ({
            slot: `stations.${i}.${key}`,
            label: phrase`Station ${i + 1}, ${key === 'at' ? 'from the head' : 'centre to hull'}`,
            dimension: s[key],
            with: (d) => ({
              ...shape,
              stations: shape.stations.map((other, j) => (j === i ? { ...other, [key]: d } : other)),
            }),
          })),
        ),
      ]
    case 'taped':
      return shape.tapes.map((t, i) => ({
        slot: `tapes.${i}`,
        label: phrase`Tape ${tapeName(t)}`,
        dimension: t.length,
        with: (length) => ({
          ...shape,
          tapes: shape.tapes.map((other, j) => (j === i ? { ...other, length } : other)),
        }),
      }))
    case 'points':
      return []
    default:
      return shape satisfies never
  }
}

const CORNER_LABELS = {
  lengthA: 'Leg A, from the corner',
  depthA: 'Leg A, depth',
  lengthB: 'Leg B, from the corner',
  depthB: 'Leg B, depth',
} as const
const BERTH_LABELS = { length: 'Centre line', head: 'Head, centre to hull', foot: 'Foot, centre to hull' } as const

function diagonals(shape: Extract<Footprint, { kind: 'rectangle' | 'taper' }>): readonly FootprintSlot[] {
  const one = (slot: 'rising' | 'falling', label: string): readonly FootprintSlot[] => {
    const dimension = shape[slot]
    return dimension ? [{ slot, label, dimension, with: (d) => ({ ...shape, [slot]: d }) }] : []
  }
  return [...one('rising', 'Diagonal, near left to far right'), ...one('falling', 'Diagonal, far left to near right')]
}

function ear(side: 'left' | 'right', of: Ear | null, put: (ear: Ear) => Footprint): readonly FootprintSlot[] {
  if (!of) return []
  const name = side === 'left' ? 'Left ear' : 'Right ear'
  return [
    { slot: `${side}.out`, label: phrase`${name}, stands out`, dimension: of.out, with: (out) => put({ ...of, out }) },
    {
      slot: `${side}.deep`,
      label: phrase`${name}, front to back`,
      dimension: of.deep,
      with: (deep) => put({ ...of, deep }),
    },
  ]
}

function ringSlots(shape: Extract<Footprint, { kind: 'ring' }>): readonly FootprintSlot[] {
  const on = shape.at === 'inner' ? 'inner' : 'outer'
  const { curve, extent } = shape
  const curveSlots: readonly FootprintSlot[] =
    curve.by === 'radius'
      ? [
          {
            slot: 'radius',
            label: phrase`Radius, ${on} arc`,
            dimension: curve.radius,
            with: (radius) => ({ ...shape, curve: { by: 'radius', radius } }),
          },
        ]
      : [
          {
            slot: 'chord',
            label: phrase`Chord, ${on} arc`,
            dimension: curve.chord,
            with: (chord) => ({ ...shape, curve: { ...curve, chord } }),
          },
          {
            slot: 'rise',
            label: 'Rise of the chord',
            dimension: curve.rise,
            with: (rise) => ({ ...shape, curve: { ...curve, rise } }),
          },
        ]
  return [
    ...curveSlots,
    { slot: 'depth', label: 'Depth', dimension: shape.depth, with: (depth) => ({ ...shape, depth }) },
    ...(extent.by === 'length'
      ? [
          {
            slot: 'length',
            label: phrase`Length along the ${on} arc`,
            dimension: extent.length,
            with: (length: Dimension): Footprint => ({ ...shape, extent: { by: 'length', length } }),
          },
        ]
      : []),
  ]
}
