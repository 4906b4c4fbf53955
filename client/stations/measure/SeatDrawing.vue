<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Side } from '../../../contract/index.ts'
import { facing } from '../../../core/seat/index.ts'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'

/** The seat from above with its front edge at the foot, and how the cushions stand on it. */
const emit = defineEmits<{ front: [side: Side] }>()
const jobs = useJob()
const place = ref<HTMLElement | null>(null)
const seat = computed(() => jobs.job!.seat)
const cushions = computed(() => jobs.plan!.cushions)
const sides = computed(() => facing(seat.value.front))
const isBench = computed(() => seat.value.kind === 'bench')
const w = computed(() => cushions.value.measured.across.value)
const d = computed(() => cushions.value.measured.frontToBack.value)
const scale = useScale(place, computed(() => ({ minX: 0, minY: 0, maxX: w.value, maxY: d.value })), { left: 90, right: 70, top: 90, bottom: 110 })
const frontClearance = computed(() => (seat.value.roles[sides.value.front] === 'open' ? 0 : seat.value.clearanceMm))

/** Squeezed neighbours are drawn as they stand: each gives half. */
const drawn = computed(() => {
  const { size, count, leftMm } = cushions.value
  const shown = isBench.value ? count : 1
  return Array.from({ length: shown }, (_, i) => {
    const squeeze = isBench.value && seat.value.kind === 'bench' ? Math.min(0, seat.value.gapMm) / 2 : 0
    const left = leftMm[i]! - (i > 0 ? squeeze : 0)
    const right = leftMm[i]! + size.width.value + (i < shown - 1 ? squeeze : 0)
    return { x: scale.value.x(left), width: Math.max(0, (right - left) * scale.value.k), y: scale.value.y(frontClearance.value + size.depth.value), height: Math.max(0, size.depth.value * scale.value.k) }
  })
})
const edges = computed(() => {
  const { x, y } = scale.value
  const [x0, x1, y0, y1] = [x(0), x(w.value), y(0), y(d.value)]
  const edge = (side: Side, name: string, a: [number, number], b: [number, number], label: [number, number], turn: number) => ({ side, name, role: seat.value.roles[side], a, b, label, turn })
  return [
    edge(sides.value.front, 'front', [x0, y0], [x1, y0], [(x0 + x1) / 2, y0 + 22], 0),
    edge(sides.value.right, 'right', [x1, y0], [x1, y1], [x1 + 22, (y0 + y1) / 2], 90),
    edge(sides.value.back, 'back', [x1, y1], [x0, y1], [(x0 + x1) / 2, y1 - 14], 0),
    edge(sides.value.left, 'left', [x0, y1], [x0, y0], [x0 - 14, (y0 + y1) / 2], -90),
  ]
})
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="The seat from above, to scale">
      <text x="16" y="28" class="caption">The seat from above, front edge at the foot</text>
      <rect :x="scale.x(0)" :y="scale.y(d)" :width="w * scale.k" :height="d * scale.k" class="seat" />
      <g v-for="(c, i) in drawn" :key="i">
        <rect :x="c.x" :y="c.y" :width="c.width" :height="c.height" class="cushion" rx="2" />
        <text :x="c.x + c.width / 2" :y="c.y + c.height / 2 + 6" text-anchor="middle" class="number">{{ isBench ? i + 1 : `${cushions.count} of these` }}</text>
      </g>
      <g v-for="e in edges" :key="e.name" class="edge" :class="[e.role, { front: e.name === 'front' }]">
        <line :x1="e.a[0]" :y1="e.a[1]" :x2="e.b[0]" :y2="e.b[1]" class="hit" @click="emit('front', e.side)"><title>Make this the front</title></line>
        <line :x1="e.a[0]" :y1="e.a[1]" :x2="e.b[0]" :y2="e.b[1]" class="drawn" />
        <text :transform="`translate(${e.label[0]} ${e.label[1]}) rotate(${e.turn})`" text-anchor="middle">{{ e.name }}{{ e.role === 'open' ? '' : `, ${e.role}` }}</text>
      </g>
      <DimensionLine :x1="scale.x(0)" :y1="scale.y(0) + 56" :x2="scale.x(w)" :y2="scale.y(0) + 56" :figure="cushions.measured.across" />
      <DimensionLine :x1="scale.x(0) - 50" :y1="scale.y(0)" :x2="scale.x(0) - 50" :y2="scale.y(d)" :figure="cushions.measured.frontToBack" />
      <DimensionLine v-if="drawn[0] && drawn[0].width > 0" :x1="drawn[0].x" :y1="scale.y(d) - 38" :x2="drawn[0].x + drawn[0].width" :y2="scale.y(d) - 38" :figure="cushions.size.width" />
    </svg>
  </div>
</template>

<style scoped>
.seat {
  fill: #e4d6bb;
}

.cushion {
  fill: #fffdf8;
  stroke: var(--chalk);
  stroke-width: 1.5;
}

.number {
  font-family: var(--slab);
  font-size: 22px;
  fill: var(--ink-soft);
}

.edge .drawn {
  stroke: var(--ink);
  stroke-width: 2;
  pointer-events: none;
}

.edge.front .drawn {
  stroke-width: 5;
}

.edge.wall .drawn {
  stroke-width: 8;
  stroke: #7d6f57;
}

.edge.hinge .drawn {
  stroke-dasharray: 10 5;
  stroke-width: 4;
}

.edge text {
  font-size: 14px;
  fill: var(--ink-soft);
}

.hit {
  stroke: transparent;
  stroke-width: 30;
  cursor: pointer;
}

.hit:hover + .drawn {
  stroke: var(--chalk);
}
</style>
