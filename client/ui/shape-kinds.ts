import type { Footprint } from '../../contract/index.ts'

/** Each footprint with its name and a sketch on a 32 x 24 field. */
export const SHAPE_KINDS: readonly {
  readonly kind: Footprint['kind']
  readonly label: string
  readonly sketch: string
}[] = [
  { kind: 'rectangle', label: 'Rectangle', sketch: 'M4 5h24v14h-24z' },
  { kind: 'taper', label: 'Taper', sketch: 'M3 19h26l-6-14h-14z' },
  { kind: 'eared', label: 'T or L seat', sketch: 'M3 20h26v-5h-4v-11h-18v11h-4z' },
  { kind: 'disc', label: 'Round', sketch: 'M16 3a9 9 0 0 1 0 18a9 9 0 0 1 0-18z' },
  { kind: 'corner-bench', label: 'Round a corner', sketch: 'M4 21v-18h25v6h-18v12z' },
  { kind: 'ring', label: 'Round wall', sketch: 'M2 13a17 17 0 0 1 28 0l-5 6a11 11 0 0 0-18 0z' },
  { kind: 'berth', label: 'Berth half', sketch: 'M4 4h24v5q-12 9-24 11z' },
  { kind: 'taped', label: 'By tapes', sketch: 'M4 19l22 2 3-14-21-4zM4 19l25-12M8 3l18 18' },
  { kind: 'points', label: 'Points or drawing', sketch: 'M4 18l7 3 9-3 8 1-2-12-10-3-9 4z' },
]
