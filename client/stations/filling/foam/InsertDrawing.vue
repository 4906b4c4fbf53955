<script setup lang="ts">
import { computed, ref } from 'vue'
import type { InsertPlan } from '../../../../core/filling/index.ts'
import DimensionLine from '../../../drawing/DimensionLine.vue'
import { useScale } from '../../../drawing/use-scale.ts'
import { useDesign } from '../../../stores/design.ts'

/** The insert, laid flat, and the cover that it goes into, seen from above. */
const design = useDesign()
const sizing = computed(() => (design.chosen!.filling as InsertPlan).sizing)
const place = ref<HTMLElement | null>(null)
const largest = (way: 'width' | 'depth') => Math.max(sizing.value.block[way].value, sizing.value.cover[way].value)
const scale = useScale(
  place,
  computed(() => ({ minX: 0, minY: 0, maxX: largest('width'), maxY: largest('depth') })),
  { left: 90, right: 90, top: 74, bottom: 70 },
)
const boxes = computed(() =>
  (
    [
      ['insert', sizing.value.block],
      ['cover', sizing.value.cover],
    ] as const
  ).map(([name, { width, depth }]) => ({
    name,
    x: scale.value.x((largest('width') - width.value) / 2),
    y: scale.value.y((largest('depth') + depth.value) / 2),
    width: width.value * scale.value.k,
    height: depth.value * scale.value.k,
  })),
)
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="Insert and cover, to scale">
      <text x="16" y="26" class="caption">The insert laid flat (filled), and its cover (line)</text>
      <rect v-for="b in boxes" :key="b.name" v-bind="b" :class="b.name" rx="4" />
      <DimensionLine
        :x1="scale.x(0)"
        :x2="scale.x(largest('width'))"
        :y1="scale.y(0) + 36"
        :y2="scale.y(0) + 36"
        :figure="sizing.block.width.value >= sizing.cover.width.value ? sizing.block.width : sizing.cover.width"
      />
    </svg>
  </div>
</template>

<style scoped>
.insert {
  fill: #efe6d0;
  stroke: none;
}

.cover {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
