import type { Trim } from '../../contract/index.ts'

const trim = (
  id: string,
  name: string,
  use: Trim['use'],
  unit: Trim['unit'],
  price: number,
  pack: number,
  inHand: number,
  reorderAt: number,
): Trim => ({ id, name, use, unit, price, pack, inHand, reorderAt })

/** The demo shop's shelf of trims, with its prices. */
export const DEMO_TRIMS: readonly Trim[] = [
  trim('coil-zip-5', 'Coil zip, size 5, by the metre', 'zip', 'm', 1.1, 50, 62, 20),
  trim('slider-5', 'Sliders, size 5', 'slider', 'piece', 0.35, 25, 40, 15),
  trim('cotton-cord-5', 'Cotton cord, 5 mm', 'cord', 'm', 0.28, 100, 85, 30),
  trim('made-piping', 'Ready-made piping', 'ready-made-piping', 'm', 1.9, 25, 0, 0),
  trim('bonded-70', 'Bonded polyester thread, 70 tex', 'thread', 'm', 0.008, 1500, 2600, 1500),
  trim('spray-glue', 'Foam glue', 'foam-glue', 'kg', 14.5, 0.6, 1.2, 0.6),
  trim('wadding-200', 'Polyester wadding', 'wadding', 'm2', 3.1, 15, 9, 8),
  trim('thin-film', 'Thin film', 'film', 'm2', 0.4, 50, 30, 10),
  trim('hook-loop-20', 'Hook and loop, 20 mm, both halves', 'tape', 'm', 1.6, 25, 18, 5),
  trim('snaps', 'Snaps, pairs', 'snaps', 'piece', 0.22, 100, 140, 40),
  trim('buttons-22', 'Buttons to cover, 22 mm', 'buttons', 'piece', 0.4, 50, 30, 20),
  trim('tie-tape', 'Closing ties', 'closing-ties', 'piece', 0.5, 20, 12, 4),
  trim('eyelets', 'Eyelets', 'eyelets', 'piece', 0.12, 100, 100, 20),
  trim('lacing', 'Lacing cord', 'lacing-cord', 'm', 0.6, 50, 20, 10),
  trim('rings', 'Rings and hooks', 'rings', 'piece', 0.9, 10, 8, 2),
  trim('grommets', 'Vent grommets, brass', 'vents', 'piece', 0.55, 50, 36, 12),
  trim('non-slip', 'Non-slip cloth', 'non-slip', 'm2', 5.2, 5, 3, 1),
  trim('staples-8', 'Staples, 8 mm, no rust', 'staples', 'piece', 0.006, 5000, 3200, 1000),
  trim('button-twine', 'Button twine', 'twine', 'm', 0.09, 100, 75, 25),
]
