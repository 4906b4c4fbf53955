<script setup lang="ts">
import { computed, ref } from 'vue'
import { atHeight, at, boxOf, edgeLength, leanOut, moved, turnedBy, type Outline } from '../../../core/outline/index.ts'
import type { Solid } from '../../../core/seat/index.ts'
import { sheetSize } from '../../../core/lists/index.ts'
import type { WorkedPlan } from '../../../core/plan.ts'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { svgPath, useScale } from '../../drawing/use-scale.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'

/** Above: the block against the cover, cut through from the side. Below: how blocks come from one sheet. */
const jobs = useJob()
const design = useDesign()
const plan = computed(() => jobs.plan as WorkedPlan)
const sizing = computed(() => design.chosen!.filling.sizing)
const sheets = computed(() => plan.value.sheets)

const section = ref<HTMLElement | null>(null)
const longest = computed(() => Math.max(sizing.value.block.width.value, sizing.value.cover.width.value))
const highest = computed(() => Math.max(sizing.value.block.thickness.value, sizing.value.cover.thickness.value))
const cut = useScale(section, computed(() => ({ minX: 0, minY: 0, maxX: longest.value, maxY: highest.value })), { left: 90, right: 90, top: 74, bottom: 58 })
const boxes = computed(() => {
  const { block, cover } = sizing.value
  const box = (w: number, t: number) => ({ x: cut.value.x((longest.value - w) / 2), y: cut.value.y(t), width: w * cut.value.k, height: t * cut.value.k })
  return { block: box(block.width.value, block.thickness.value), cover: box(cover.width.value, cover.thickness.value) }
})
/** Cut through at the middle: the sides lean as the longest edge on each side does. */
const leaning = computed(() => {
  const of = (solid: Solid, b: { x: number; y: number; width: number; height: number }) => {
    const out = (side: 'left' | 'right') => leanOut(leanOfSide(solid, side), solid.thickness.value) * cut.value.k
    return `${b.x},${b.y + b.height} ${b.x + b.width},${b.y + b.height} ${b.x + b.width + out('right')},${b.y} ${b.x - out('left')},${b.y}`
  }
  return { block: of(sizing.value.block, boxes.value.block), cover: of(sizing.value.cover, boxes.value.cover) }
})
const thicknessX = computed(() => boxes.value.block.x - 34 - Math.max(0, leanOut(leanOfSide(sizing.value.block, 'left'), sizing.value.block.thickness.value) * cut.value.k))
function leanOfSide({ outline, edges }: Solid, side: 'left' | 'right'): number {
  const own = edges.flatMap((e, i) => (e.side === side ? [{ lean: e.leanRad, length: edgeLength(outline, i) }] : []))
  return own.reduce((best, e) => (e.length > best.length ? e : best), { lean: 0, length: 0 }).lean
}
const layers = computed(() => {
  let at = 0
  return sheets.value.stack.slice(0, -1).map((t) => cut.value.y((at += t)))
})

const floor = ref<HTMLElement | null>(null)
const sheet = useScale(floor, computed(() => ({ minX: 0, minY: 0, maxX: sheets.value.sheet.lengthMm, maxY: sheets.value.sheet.widthMm })), { left: 60, right: 60, top: 46, bottom: 50 })
/** True outlines of foot and top, each within the box it needs. */
const onSheet = computed(() =>
  sheets.value.firstSheet.map((b) => {
    const { outline, edges, thickness } = plan.value.designs[b.design]!.filling.sizing.block
    const leans = edges.map((e) => e.leanRad)
    const [foot, top] = [outline, atHeight(outline, leans, thickness.value)].map((o) => (b.turned ? turnedBy(o, Math.PI / 2) : o)) as [Outline, Outline]
    const boxes = [boxOf(foot), boxOf(top)]
    const shift = at(b.x - Math.min(...boxes.map((o) => o.minX)), b.y - Math.min(...boxes.map((o) => o.minY)))
    return { foot: svgPath(moved(foot, shift), sheet.value), top: leans.some((l) => l !== 0) ? svgPath(moved(top, shift), sheet.value) : null, x: sheet.value.x(b.x + b.width / 2), y: sheet.value.y(b.y + b.height / 2) }
  }),
)
</script>

<template>
  <div ref="section" class="half">
    <svg :width="cut.width" :height="cut.height" role="img" aria-label="Block and cover cut through, to scale">
      <text x="16" y="26" class="caption">Cut through, seen from the front: block inside its cover</text>
      <polygon :points="leaning.block" class="foam" />
      <line v-for="(y, i) in layers" :key="i" :x1="boxes.block.x" :x2="boxes.block.x + boxes.block.width" :y1="y" :y2="y" class="glue" />
      <polygon :points="leaning.cover" class="cover" />
      <line :x1="boxes.cover.x - 24" :x2="boxes.cover.x + boxes.cover.width + 24" :y1="cut.y(0) + 2" :y2="cut.y(0) + 2" class="board" />
      <DimensionLine :x1="boxes.block.x" :x2="boxes.block.x + boxes.block.width" :y1="cut.y(0) + 36" :y2="cut.y(0) + 36" :figure="sizing.block.width" />
      <DimensionLine :x1="boxes.cover.x" :x2="boxes.cover.x + boxes.cover.width" :y1="cut.y(highest) - 14" :y2="cut.y(highest) - 14" :figure="sizing.cover.width" />
      <DimensionLine :x1="thicknessX" :x2="thicknessX" :y1="cut.y(0)" :y2="boxes.block.y" :figure="sizing.block.thickness" />
      <g :transform="`translate(${cut.width - 210} 22)`" class="key">
        <rect width="16" height="10" class="foam" /><text x="22" y="10">foam, as cut</text>
        <line x1="112" x2="130" y1="5" y2="5" class="cover" /><text x="136" y="10">cover, net</text>
      </g>
    </svg>
  </div>
  <div ref="floor" class="half floor">
    <svg :width="sheet.width" :height="sheet.height" role="img" aria-label="Blocks on a foam sheet, to scale">
      <text x="16" y="26" class="caption">{{ onSheet.length > 0 ? 'On the first sheet, in straight rows, trim and kerf taken off' : 'The block is larger than any sheet' }}</text>
      <rect :x="sheet.x(0)" :y="sheet.y(sheets.sheet.widthMm)" :width="sheets.sheet.lengthMm * sheet.k" :height="sheets.sheet.widthMm * sheet.k" class="sheetful" />
      <g v-for="(b, i) in onSheet" :key="i">
        <path :d="b.foot" class="foam" />
        <path v-if="b.top" :d="b.top" class="foam-top" />
        <text :x="b.x" :y="b.y + 6" text-anchor="middle">block {{ i + 1 }}</text>
      </g>
      <DimensionLine :x1="sheet.x(0)" :x2="sheet.x(sheets.sheet.lengthMm)" :y1="sheet.y(0) + 30" :y2="sheet.y(0) + 30" :text="`sheet ${sheetSize(sheets, jobs.job!.units)}`" />
    </svg>
  </div>
</template>

<style scoped>
.half {
  flex: 2;
  min-height: 150px;
  overflow: hidden;
}

.floor {
  flex: 3;
  border-top: 1px solid var(--paper-edge);
}

.foam {
  fill: #efdca6;
  stroke: #a78c46;
}

.foam-top {
  fill: none;
  stroke: #a78c46;
  stroke-dasharray: 3 3;
}

.glue {
  stroke: #a78c46;
  stroke-dasharray: 6 4;
}

.cover {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}

.board {
  stroke: #7d6f57;
  stroke-width: 5;
}

.sheetful {
  fill: #f8f0d8;
  stroke: var(--ink);
}

.key text {
  font-size: 13px;
}
</style>
