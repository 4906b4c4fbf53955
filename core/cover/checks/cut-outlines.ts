import { areaOf, isSimple } from '../../outline/index.ts'
import type { Cover } from '../cover.ts'
import { cutOutline } from '../panel.ts'

export function cutOutlinesAreSound(cover: Cover): readonly string[] {
  return cover.panels.flatMap((panel) => {
    const cut = cutOutline(panel)
    const finishedArea = areaOf(panel.finished)
    if (!(finishedArea > 0)) return [`${panel.name}: nothing is left of the finished outline`]
    if (!isSimple(cut)) return [`${panel.name}: the cut outline crosses itself`]
    // Cloth that gives is cut smaller on purpose; allowances are judged beside that.
    const { finished, whole } = panel.growth
    return areaOf(cut) >= finishedArea * finished.x * finished.y * whole.x * whole.y - 1 ? [] : [`${panel.name}: the cut outline is smaller than the sewing line`]
  })
}
