<script setup lang="ts">
import { computed, ref } from 'vue'
import type { FibrePlan } from '../../../../core/filling/index.ts'
import DimensionLine from '../../../drawing/DimensionLine.vue'
import { useScale } from '../../../drawing/use-scale.ts'
import { useDesign } from '../../../stores/design.ts'

/** The liner round its cover, seen from above, over all. */
const design = useDesign()
const plan = computed(() => design.chosen!.filling as FibrePlan)
const place = ref<HTMLElement | null>(null)
const scale = useScale(
  place,
  computed(() => ({ minX: 0, minY: 0, maxX: plan.value.liner.width.value, maxY: plan.value.liner.depth.value })),
  { left: 90, right: 90, top: 74, bottom: 70 },
)
const inset = computed(() => ({
  x: (plan.value.liner.width.value - plan.value.sizing.cover.width.value) / 2,
  y: (plan.value.liner.depth.value - plan.value.sizing.cover.depth.value) / 2,
}))
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="Liner and cover, to scale">
      <text x="16" y="26" class="caption">
        The liner, filled, against its cover; one side stays open {{ plan.liner.openMm }} mm to fill it
      </text>
      <rect
        :x="scale.x(0)"
        :y="scale.y(plan.liner.depth.value)"
        :width="plan.liner.width.value * scale.k"
        :height="plan.liner.depth.value * scale.k"
        class="liner"
        rx="6"
      />
      <rect
        :x="scale.x(inset.x)"
        :y="scale.y(plan.liner.depth.value - inset.y)"
        :width="plan.sizing.cover.width.value * scale.k"
        :height="plan.sizing.cover.depth.value * scale.k"
        class="cover"
      />
      <DimensionLine
        :x1="scale.x(0)"
        :x2="scale.x(plan.liner.width.value)"
        :y1="scale.y(0) + 36"
        :y2="scale.y(0) + 36"
        :figure="plan.liner.width"
      />
      <DimensionLine
        :x1="scale.x(0) - 30"
        :x2="scale.x(0) - 30"
        :y1="scale.y(0)"
        :y2="scale.y(plan.liner.depth.value)"
        :figure="plan.liner.depth"
      />
    </svg>
  </div>
</template>

<style scoped>
.liner {
  fill: #f7f4ec;
  stroke: var(--ink);
}

.cover {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}
</style>
