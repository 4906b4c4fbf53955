/** A place on the floor of the scene, mm. */
export interface OnFloor {
  readonly x: number
  readonly z: number
}

/** Convex hull, counter-clockwise in x and z; after Andrew's monotone chain. */
export function hullOf(points: readonly OnFloor[]): readonly OnFloor[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.z - b.z)
  const chain = (all: readonly OnFloor[]) =>
    all
      .reduce<OnFloor[]>((kept, p) => {
        while (kept.length > 1 && turn(kept.at(-2)!, kept.at(-1)!, p) <= 0) kept.pop()
        kept.push(p)
        return kept
      }, [])
      .slice(0, -1)
  return [...chain(sorted), ...chain([...sorted].reverse())]
}

const turn = (a: OnFloor, b: OnFloor, c: OnFloor): number => (b.x - a.x) * (c.z - a.z) - (b.z - a.z) * (c.x - a.x)
