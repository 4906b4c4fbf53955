import type { Band, Cloth } from '../../contract/index.ts'
import { USUAL_CLOTH } from '../cloth/index.ts'

const band = (name: string, colour: string, widthMm: number): Band => ({ name, colour, widthMm })
const plain = (
  id: string,
  name: string,
  widthMm: number,
  ground: string,
  pricePerMetre: number,
  more: Partial<Cloth> = {},
): Cloth => ({ ...USUAL_CLOTH, id, name, widthMm, ground, pricePerMetre, ...more })

const IVORY = '#efe6d2'
const SLATE = '#5b6670'
const RUST = '#a8502d'

/** The made-up cloths of the demo shop. */
export const DEMO_CLOTHS: readonly Cloth[] = [
  {
    ...plain('lamp-room-ticking', 'Lamp-room ticking', 1370, IVORY, 34),
    pattern: {
      kind: 'stripes',
      runs: 'along',
      startMm: 0,
      bands: [
        band('ivory', IVORY, 22),
        band('slate', SLATE, 6),
        band('ivory', IVORY, 10),
        band('rust', RUST, 14),
        band('ivory', IVORY, 10),
        band('slate', SLATE, 6),
      ],
    },
  },
  {
    ...plain('tern-check', 'Tern check', 1400, '#f1ead8', 41, { massGM2: 340, thicknessMm: 0.7 }),
    pattern: {
      kind: 'check',
      startMm: 0,
      startAlongMm: 0,
      across: [
        band('chalk', '#f1ead8', 50),
        band('slate', SLATE, 14),
        band('chalk', '#f1ead8', 8),
        band('slate', SLATE, 14),
      ],
      along: [
        band('chalk', '#f1ead8', 56),
        band('slate', SLATE, 14),
        band('chalk', '#f1ead8', 8),
        band('slate', SLATE, 14),
      ],
    },
  },
  {
    ...plain('kelp-check', 'Kelp check', 1180, '#8b8f6a', 0, {
      selvedgeMm: [0, 0],
      supply: {
        kind: 'remnant',
        outline: [
          [0, 0],
          [1180, 0],
          [1180, 560],
          [980, 560],
          [980, 870],
          [0, 870],
        ],
      },
    }),
    pattern: {
      kind: 'check',
      startMm: 12,
      startAlongMm: 0,
      across: [band('olive', '#8b8f6a', 24), band('bark', '#5a4a36', 12)],
      along: [band('olive', '#8b8f6a', 24), band('bark', '#5a4a36', 12)],
    },
  },
  plain('moss-loop', 'Moss loop', 1380, '#6f7d58', 46, { nap: 'one-way', thicknessMm: 2.2, marking: 'tacks' }),
  plain('storm-canvas', 'Storm canvas', 1520, '#7c8a91', 29, { fibre: 'synthetic', use: 'outdoors' }),
  plain('hull-vinyl', 'Hull vinyl', 1370, '#dcd8cb', 24, {
    use: 'aboard',
    massGM2: 650,
    fibre: 'synthetic',
    thicknessMm: 1.1,
    stretch: { across: 0.02, along: 0.01 },
  }),
  plain('ebb-linen', 'Ebb linen', 1460, '#cfc3aa', 38, {
    fibre: 'natural',
    shrink: { across: 0.02, along: 0.04 },
    washFirst: true,
  }),
  plain('brine-mesh', 'Brine mesh', 1500, '#566168', 17, { use: 'aboard', massGM2: 120, fibre: 'synthetic' }),
  plain('house-calico', 'House calico', 1600, '#f0ead9', 6, { fibre: 'natural' }),
]
