import type { Cloth, Lay, Supply } from '../../contract/index.ts'
import { modulo, patternStart, repeatOf } from '../pattern/index.ts'

/** Shorter ends are not worth a place on the shelf. */
export const LEAST_LEFTOVER_MM = 100

/**
 * What is left of a cloth when a lay has been cut from it, with its true outline, its flaws and the
 * pattern as it then begins; null where nothing worth keeping is left. A cloth in hand is handed
 * back shorter, a bought one as a new remnant. What is free beside the pieces is not counted.
 */
export function leftover(
  cloth: Cloth,
  lay: Pick<Lay, 'length' | 'offsets'>,
  boughtMm: number,
  as: { readonly id: string; readonly name: string },
): Cloth | null {
  const supply = supplyLeft(cloth, lay.length, boughtMm)
  if (!supply) return null
  const flaws = cloth.flaws.flatMap((f) =>
    f.yMm + f.lengthMm > lay.length
      ? [
          {
            ...f,
            yMm: Math.max(0, f.yMm - lay.length),
            lengthMm: Math.min(f.lengthMm, f.yMm + f.lengthMm - lay.length),
          },
        ]
      : [],
  )
  const cut = { ...cloth, supply, flaws, pattern: begunLater(cloth, lay) }
  return cloth.supply.kind === 'to-buy' ? { ...cut, ...as } : cut
}

/** A free rectangle of a lay as a remnant of its own, with the pattern as it lies on it. */
export function remnantFrom(
  cloth: Cloth,
  free: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
  lay: Pick<Lay, 'offsets'>,
  as: { readonly id: string; readonly name: string },
): Cloth {
  const { width, height } = free
  const along = begunLater(cloth, { length: free.y, offsets: lay.offsets })
  const across = repeatOf(cloth, 'across')
  const isAcross = across !== null && along.kind !== 'plain' && !(along.kind === 'stripes' && along.runs === 'across')
  const pattern = isAcross ? { ...along, startMm: modulo(along.startMm - free.x, across) } : along
  return {
    ...cloth,
    ...as,
    widthMm: width,
    selvedgeMm: [0, 0],
    flaws: [],
    pattern,
    supply: {
      kind: 'remnant',
      outline: [
        [0, 0],
        [width, 0],
        [width, height],
        [0, height],
      ],
    },
  }
}

function supplyLeft({ supply, widthMm }: Cloth, usedMm: number, boughtMm: number): Supply | null {
  switch (supply.kind) {
    case 'to-buy': {
      const left = boughtMm - usedMm
      return left < LEAST_LEFTOVER_MM
        ? null
        : {
            kind: 'remnant',
            outline: [
              [0, 0],
              [widthMm, 0],
              [widthMm, left],
              [0, left],
            ],
          }
    }
    case 'length': {
      const lengthMm = supply.lengthMm - usedMm
      return lengthMm < LEAST_LEFTOVER_MM ? null : { kind: 'length', lengthMm }
    }
    case 'remnant': {
      const outline = above(supply.outline, usedMm)
      return outline.length < 3 || Math.max(...outline.map((p) => p[1])) < LEAST_LEFTOVER_MM
        ? null
        : { kind: 'remnant', outline }
    }
    default:
      return supply satisfies never
  }
}

/** The part of an outline from a line across the cloth on, measured from that line. */
function above(outline: readonly (readonly [number, number])[], from: number): [number, number][] {
  return outline.flatMap(([x, y], i): [number, number][] => {
    const [nextX, nextY] = outline[(i + 1) % outline.length]!
    const isCrossing = y > from !== nextY > from && y !== from && nextY !== from
    return [
      ...(y >= from ? [[x, y - from] as [number, number]] : []),
      ...(isCrossing ? [[x + ((nextX - x) * (from - y)) / (nextY - y), 0] as [number, number]] : []),
    ]
  })
}

/** The pattern as it stands at the new starting end; a bought roll was begun where the lay said. */
function begunLater(cloth: Cloth, { length, offsets }: Pick<Lay, 'length' | 'offsets'>): Cloth['pattern'] {
  const { pattern } = cloth
  const repeat = repeatOf(cloth, 'along')
  if (repeat === null || pattern.kind === 'plain') return pattern
  const begun =
    cloth.supply.kind === 'to-buy'
      ? (offsets['run']?.along ?? patternStart(cloth, 'along'))
      : patternStart(cloth, 'along')
  const start = modulo(begun - length, repeat)
  switch (pattern.kind) {
    case 'stripes':
      return { ...pattern, startMm: start }
    case 'check':
      return { ...pattern, startAlongMm: start }
    case 'motif':
      return { ...pattern, startAlongMm: modulo(start + repeat / 2, repeat) }
    default:
      return pattern satisfies never
  }
}
