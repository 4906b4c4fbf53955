import type { Cutting } from '../../contract/index.ts'
import { nestGroup, type FoamGroup, type NestLay } from '../../core/filling/index.ts'

export interface NestRequest {
  readonly groups: readonly FoamGroup[]
  readonly cutting: Cutting
  readonly seconds: number
}

export interface NestMessage {
  readonly lays: readonly NestLay[]
  /** Parts that no sheet or piece of stock can hold. */
  readonly left: readonly string[]
  readonly isDone: boolean
}

/** A first nest of every group at once, then a better one of each within its share of the time. */
self.onmessage = ({ data: { groups, cutting, seconds } }: MessageEvent<NestRequest>) => {
  const tell = (nests: readonly ReturnType<typeof nestGroup>[], isDone: boolean) =>
    self.postMessage({
      lays: nests.flatMap((n) => n.lays),
      left: nests.flatMap((n) => n.left),
      isDone,
    } satisfies NestMessage)
  tell(
    groups.map((g) => nestGroup(g, cutting, 1, () => true)),
    false,
  )
  const share = (seconds * 1000) / Math.max(1, groups.length)
  const better = groups.map((g) => {
    const started = performance.now()
    return nestGroup(g, cutting, 1, (part) => performance.now() - started > share * part)
  })
  tell(better, true)
}
