import type { DesignPlan, WorkedPart, WorkedPlan } from '../../../../core/planned/index.ts'
import { isRow } from '../../../../core/seat/index.ts'

/** A cushion where it will stand, mm: x along the row, y towards the back, z up; turned about z, then tilted back. */
export interface Standing {
  readonly part: WorkedPart
  readonly cushion: number
  readonly design: DesignPlan
  readonly x: number
  readonly y: number
  readonly z: number
  readonly turnRad: number
  /** Of its own depth above level: 0 lies, a quarter turn stands upright. */
  readonly tiltRad: number
}

const APART_MM = 60
const QUARTER = Math.PI / 2

/** Every cushion of a ticket as it will sit: seats on their row, backs leaning on them, bolsters at their ends. */
export function standing({ worked }: Pick<WorkedPlan, 'worked'>): readonly Standing[] {
  const lying: Row[] = []
  for (const part of worked.filter((p) => p.part.pose.kind === 'lies')) {
    const startMm = lying.reduce((x, row) => Math.max(x, row.toMm + APART_MM), 0)
    lying.push(rowOf(part, startMm))
  }
  const [seat] = lying
  return worked.flatMap((part): readonly Standing[] => {
    const { pose, follows } = part.part
    const under = (letter?: string) => lying.find((row) => row.part.part.letter === letter) ?? seat
    switch (pose.kind) {
      case 'lies':
        return lying.find((row) => row.part === part)!.cushions
      case 'lies-on':
        return above(part, under(pose.part))
      case 'stands-at-back':
        return backs(part, under(follows?.part), (pose.leanDeg * Math.PI) / 180)
      case 'stands-at-end':
        return ends(part, under(follows?.part), pose.end)
      default:
        return pose satisfies never
    }
  })
}

interface Row {
  readonly part: WorkedPart
  readonly cushions: readonly Standing[]
  readonly fromMm: number
  readonly toMm: number
  readonly deepMm: number
  readonly topMm: number
}

const sizeOf = ({ cover: { solid } }: DesignPlan) => ({
  width: solid.width.value,
  depth: solid.depth.value,
  thickness: solid.thickness.value,
})

/** On its seat, or side by side where cushions are single. */
function rowOf(part: WorkedPart, startMm: number): Row {
  const { inOrder } = part.cushions
  let left = 0
  const cushions = inOrder.map(({ design, place, leftMm }, cushion): Standing => {
    const own = part.designs[design]!
    const at = isRow(part.part.seat.division)
      ? { x: place?.x ?? leftMm, y: place?.y ?? 0, turnRad: place?.angleRad ?? 0 }
      : { x: left, y: 0, turnRad: 0 }
    left += sizeOf(own).width + APART_MM
    return { part, cushion, design: own, ...at, x: at.x + startMm, z: 0, tiltRad: 0 }
  })
  const sizes = cushions.map((c) => ({ ...c, ...sizeOf(c.design) }))
  return {
    part,
    cushions,
    fromMm: Math.min(...sizes.map((c) => c.x)),
    toMm: Math.max(...sizes.map((c) => c.x + c.width)),
    deepMm: Math.max(...sizes.map((c) => c.y + c.depth)),
    topMm: Math.max(...sizes.map((c) => c.thickness)),
  }
}

/** Middles of the cushions of a part over a row: seat by seat where there are as many, else shared out on its middle. */
function middlesOver(part: WorkedPart, under: Row | undefined): readonly number[] {
  const widths = part.cushions.inOrder.map((c) => sizeOf(part.designs[c.design]!).width)
  if (under && under.cushions.length === widths.length && under.cushions.every((c) => c.turnRad === 0))
    return under.cushions.map((c) => c.x + sizeOf(c.design).width / 2)
  const whole = widths.reduce((sum, w) => sum + w, 0) + APART_MM * (widths.length - 1)
  let left = (under ? (under.fromMm + under.toMm) / 2 : whole / 2) - whole / 2
  return widths.map((width) => {
    const middle = left + width / 2
    left += width + APART_MM
    return middle
  })
}

const each = (
  part: WorkedPart,
  under: Row | undefined,
  at: (
    size: ReturnType<typeof sizeOf>,
    middle: number,
    cushion: number,
  ) => Pick<Standing, 'x' | 'y' | 'z' | 'turnRad' | 'tiltRad'>,
): readonly Standing[] => {
  const middles = middlesOver(part, under)
  return part.cushions.inOrder.map(({ design }, cushion) => {
    const own = part.designs[design]!
    return { part, cushion, design: own, ...at(sizeOf(own), middles[cushion]!, cushion) }
  })
}

const above = (part: WorkedPart, under: Row | undefined) =>
  each(part, under, ({ width }, middle) => ({
    x: middle - width / 2,
    y: 0,
    z: under?.topMm ?? 0,
    turnRad: 0,
    tiltRad: 0,
  }))

/** The foot of a back stands on the seat, its back edge over the seat's. */
const backs = (part: WorkedPart, under: Row | undefined, leanRad: number) =>
  each(part, under, ({ width }, middle) => ({
    x: middle - width / 2,
    y: under?.deepMm ?? 0,
    z: under?.topMm ?? 0,
    turnRad: 0,
    tiltRad: QUARTER - leanRad,
  }))

/** Across the seat at its ends: as long as it is deep. */
function ends(part: WorkedPart, under: Row | undefined, end: 'left' | 'right' | 'both'): readonly Standing[] {
  const count = part.cushions.count
  return each(part, under, ({ depth }, _middle, cushion) => {
    const isLeft = end === 'left' || (end === 'both' && cushion < count / 2)
    const nth = isLeft || end === 'right' ? cushion : cushion - Math.ceil(count / 2)
    const fromEnd = nth * (depth + APART_MM)
    return {
      x: isLeft ? (under?.fromMm ?? 0) + depth + fromEnd : (under?.toMm ?? 0) - fromEnd,
      y: 0,
      z: under?.topMm ?? 0,
      turnRad: QUARTER,
      tiltRad: 0,
    }
  })
}
