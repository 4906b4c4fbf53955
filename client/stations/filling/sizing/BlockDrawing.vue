<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FoamPlan } from '../../../../core/filling/index.ts'
import { edgeLength, leanOut } from '../../../../core/outline/index.ts'
import type { Solid } from '../../../../core/seat/index.ts'
import DimensionLine from '../../../drawing/DimensionLine.vue'
import { useScale } from '../../../drawing/use-scale.ts'
import { useDesign } from '../../../stores/design.ts'
import SchoolTable from './SchoolTable.vue'

/** The block against its cover, cut through; below, what every school would make of it. */
const design = useDesign()
const plan = computed(() => design.chosen!.filling as FoamPlan)
const sizing = computed(() => plan.value.sizing)

const section = ref<HTMLElement | null>(null)
const longest = computed(() => Math.max(sizing.value.block.width.value, sizing.value.cover.width.value))
const highest = computed(() => Math.max(sizing.value.block.thickness.value, sizing.value.cover.thickness.value))
const cut = useScale(
  section,
  computed(() => ({ minX: 0, minY: 0, maxX: longest.value, maxY: highest.value })),
  { left: 90, right: 90, top: 74, bottom: 58 },
)
const boxes = computed(() => {
  const { block, cover } = sizing.value
  const box = (w: number, t: number) => ({
    x: cut.value.x((longest.value - w) / 2),
    y: cut.value.y(t),
    width: w * cut.value.k,
    height: t * cut.value.k,
  })
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
const thicknessX = computed(
  () =>
    boxes.value.block.x -
    34 -
    Math.max(0, leanOut(leanOfSide(sizing.value.block, 'left'), sizing.value.block.thickness.value) * cut.value.k),
)
function leanOfSide({ outline, edges }: Solid, side: 'left' | 'right'): number {
  const own = edges.flatMap((e, i) => (e.side === side ? [{ lean: e.leanRad, length: edgeLength(outline, i) }] : []))
  return own.reduce((best, e) => (e.length > best.length ? e : best), { lean: 0, length: 0 }).lean
}
/** Boundaries between layers of the block, from the board up. */
const layers = computed(() => {
  let at = 0
  return plan.value.layers.slice(0, -1).map((l) => cut.value.y((at += l.thicknessMm)))
})
</script>

<template>
  <div ref="section" class="half">
    <svg :width="cut.width" :height="cut.height" role="img" aria-label="Block and cover cut through, to scale">
      <text x="16" y="26" class="caption">Cut through, seen from the front: block inside its cover</text>
      <polygon :points="leaning.block" class="foam" />
      <line
        v-for="(y, i) in layers"
        :key="i"
        :x1="boxes.block.x"
        :x2="boxes.block.x + boxes.block.width"
        :y1="y"
        :y2="y"
        class="glue"
      />
      <polygon :points="leaning.cover" class="cover" />
      <line
        :x1="boxes.cover.x - 24"
        :x2="boxes.cover.x + boxes.cover.width + 24"
        :y1="cut.y(0) + 2"
        :y2="cut.y(0) + 2"
        class="board"
      />
      <DimensionLine
        :x1="boxes.block.x"
        :x2="boxes.block.x + boxes.block.width"
        :y1="cut.y(0) + 36"
        :y2="cut.y(0) + 36"
        :figure="sizing.block.width"
      />
      <DimensionLine
        :x1="boxes.cover.x"
        :x2="boxes.cover.x + boxes.cover.width"
        :y1="cut.y(highest) - 14"
        :y2="cut.y(highest) - 14"
        :figure="sizing.cover.width"
      />
      <DimensionLine
        :x1="thicknessX"
        :x2="thicknessX"
        :y1="cut.y(0)"
        :y2="boxes.block.y"
        :figure="sizing.block.thickness"
      />
      <g :transform="`translate(${cut.width - 210} 22)`" class="key">
        <rect width="16" height="10" class="foam" />
        <text x="22" y="10">foam, as cut</text>
        <line x1="112" x2="130" y1="5" y2="5" class="cover" />
        <text x="136" y="10">cover, net</text>
      </g>
    </svg>
  </div>
  <SchoolTable class="table" />
</template>

<style scoped>
.half {
  flex: 2;
  min-height: 150px;
  overflow: hidden;
}

.table {
  flex: 3;
  border-top: 1px solid var(--paper-edge);
}

.foam {
  fill: #efdca6;
  stroke: #a78c46;
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

.key text {
  font-size: 13px;
}
</style>
