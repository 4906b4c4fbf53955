<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import type { WorkedPart } from '../../../core/planned/index.ts'
import { cushionKey } from '../../../core/job/index.ts'
import { formatLength } from '../../../core/units/index.ts'
import { svgPath, useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'

/** The cushions side by side from above, each with its number and what was found; one is in hand. */
const props = defineProps<{ plan: WorkedPart; chosen: number }>()
const emit = defineEmits<{ choose: [index: number] }>()
const jobs = useJob()
const place = ref<HTMLElement | null>(null)
const MOST_A_ROW = 6
const APART_MM = 60

const cushions = computed(() => {
  let [x, y, high] = [0, 0, 0]
  return props.plan.cushions.inOrder.map(({ design }, i) => {
    const { outline } = props.plan.designs[design]!.cover.solid
    const box = boxOf(outline)
    if (i > 0 && i % MOST_A_ROW === 0) [x, y, high] = [0, y - high - APART_MM * 3, 0]
    const own = { i, outline, x: x - box.minX, y: y - box.maxY, box }
    x += box.maxX - box.minX + APART_MM
    high = Math.max(high, box.maxY - box.minY)
    return own
  })
})
const around = computed(() => {
  const all = cushions.value.map((c) => ({
    minX: c.x + c.box.minX,
    maxX: c.x + c.box.maxX,
    minY: c.y + c.box.minY,
    maxY: c.y + c.box.maxY,
  }))
  return {
    minX: Math.min(...all.map((b) => b.minX)),
    maxX: Math.max(...all.map((b) => b.maxX)),
    minY: Math.min(...all.map((b) => b.minY)),
    maxY: Math.max(...all.map((b) => b.maxY)),
  }
})
const scale = useScale(place, around, { left: 20, right: 20, top: 20, bottom: 20 })
const shapes = computed(() =>
  cushions.value.map((c) => {
    const { k, x, y } = scale.value
    const fit = jobs.job!.fitting.fits[cushionKey(jobs.inView, c.i)]
    const say = (mm: number | null | undefined) =>
      mm === null || mm === undefined ? '–' : formatLength(mm, jobs.job!.units)
    return {
      i: c.i,
      d: svgPath(c.outline, { k, x: (mm) => x(mm + c.x), y: (mm) => y(mm + c.y) }),
      at: { x: x(c.x + (c.box.minX + c.box.maxX) / 2), y: y(c.y + (c.box.minY + c.box.maxY) / 2) },
      wide: (c.box.maxX - c.box.minX) * k,
      verdict: fit?.verdict ?? 'unknown',
      says: fit ? phrase`${say(fit.widthMm)} x ${say(fit.depthMm)} x ${say(fit.thicknessMm)}` : 'not fitted yet',
    }
  }),
)
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="group" aria-label="The cushions on their seat">
      <g
        v-for="s in shapes"
        :key="s.i"
        role="button"
        tabindex="0"
        :aria-label="`Cushion ${plan.prefix}${s.i + 1}, ${s.verdict}, ${s.says}`"
        :aria-pressed="s.i === chosen"
        class="cushion"
        @click="emit('choose', s.i)"
        @keydown.enter="emit('choose', s.i)"
        @keydown.space.prevent="emit('choose', s.i)"
      >
        <path
          :d="s.d"
          :class="['shape', s.verdict, { here: s.i === chosen }]"
          :style="s.verdict === 'unknown' ? { fill: jobs.job!.cloth.cloth.ground } : {}"
        />
        <text :x="s.at.x" :y="s.at.y - 6" text-anchor="middle" class="number">{{ plan.prefix }}{{ s.i + 1 }}</text>
        <text v-if="s.wide > 110" :x="s.at.x" :y="s.at.y + 16" text-anchor="middle" class="caption">
          {{ s.verdict === 'unknown' ? '' : `${s.verdict}, ` }}{{ s.says }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.cushion {
  cursor: pointer;
}

.shape {
  fill: var(--field);
  stroke: var(--ink);
  stroke-width: 1.5;
}

.shape.right {
  fill: var(--moss-wash);
}

.shape.loose,
.shape.tight {
  fill: var(--rust-wash);
}

.shape.here {
  stroke: var(--chalk);
  stroke-width: 3.5;
}

.number {
  font-size: 22px;
  font-weight: 600;
}

/* Readable on any cloth. */
.number,
.cushion .caption {
  paint-order: stroke;
  stroke: var(--field);
  stroke-width: 4px;
}
</style>
