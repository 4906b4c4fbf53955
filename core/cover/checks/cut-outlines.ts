import { areaOf, isSimple } from '../../outline/index.ts'
import type { Cover } from '../cover.ts'
import { cutOutline } from '../panel.ts'

export function cutOutlinesAreSound(cover: Cover): readonly string[] {
  return cover.panels.flatMap((panel) => {
    const cut = cutOutline(panel)
    const finishedArea = areaOf(panel.finished)
    if (!(finishedArea > 0)) return [`${panel.name}: nothing is left of the finished outline`]
    if (!isSimple(cut)) return [`${panel.name}: the cut outline crosses itself`]
    return areaOf(cut) >= finishedArea ? [] : [`${panel.name}: the cut outline is smaller than the sewing line`]
  })
}
