<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { WorkedPlan } from '../../../core/plan.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import { useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'

/** The row as it will stand: plates from above and the front boxing below them, with the stripes this very lay gives each. */
const props = defineProps<{ lay: Lay }>()
const jobs = useJob()
const plan = computed(() => jobs.plan as WorkedPlan)
const cloth = computed(() => jobs.job!.cloth.cloth)
const place = ref<HTMLElement | null>(null)
const size = computed(() => plan.value.cushions.size)
const pitch = computed(() => (jobs.job!.seat.kind === 'bench' ? Math.max(0, jobs.job!.seat.gapMm) : 40) + size.value.width.value)
const run = computed(() => pitch.value * (plan.value.cushions.count - 1) + size.value.width.value)
const drop = computed(() => size.value.thickness.value)
const scale = useScale(place, computed(() => ({ minX: 0, minY: -drop.value, maxX: run.value, maxY: size.value.depth.value })), { left: 8, right: 8, top: 8, bottom: 8 })

/** How a panel reads on the cloth: the pattern's place at its lower left corner, and which way its bands go. */
function patternAt(id: string) {
  const laid = props.lay.placements.find((p) => p.id === id)
  if (!laid) return null
  // Bands follow each other across the roll; a panel turned by 90° or 270° shows them from front to back.
  const level = laid.turn % 180 === 0
  return { level, start: laid.x, forward: laid.turn === 0 || laid.turn === 270 }
}
const faces = computed(() =>
  Array.from({ length: plan.value.cushions.count }, (_, i) => {
    const x = scale.value.x(i * pitch.value)
    const face = (panel: string, top: number, height: number) => ({ id: `${i}-${panel}`, pattern: patternAt(`${i + 1}/${panel}`), x, y: scale.value.y(top), width: size.value.width.value * scale.value.k, height: height * scale.value.k })
    return [face('top-plate', size.value.depth.value, size.value.depth.value), face('boxing-front', 0, drop.value)]
  }).flat(),
)
const startMm = computed(() => (cloth.value.pattern.kind === 'stripes' ? cloth.value.pattern.startMm : 0))
/** Pixel at which a repeat begins on the face; a face read backwards is drawn mirrored. */
function origin(f: (typeof faces.value)[number]) {
  const { k } = scale.value
  const p = f.pattern!
  if (p.level) return { x: p.forward ? f.x + (startMm.value - p.start) * k : -(f.x + (p.start - startMm.value) * k), y: 0 }
  const foot = f.y + f.height
  return { x: 0, y: p.forward ? -(foot - (startMm.value - p.start) * k) : foot - (p.start - startMm.value) * k }
}
const mirror = (f: (typeof faces.value)[number]) => (f.pattern!.level ? (f.pattern!.forward ? '' : 'scale(-1 1)') : f.pattern!.forward ? 'scale(1 -1)' : '')
const mirroredBox = (f: (typeof faces.value)[number]) => ({
  x: mirror(f) === 'scale(-1 1)' ? -(f.x + f.width) : f.x,
  y: mirror(f) === 'scale(1 -1)' ? -(f.y + f.height) : f.y,
  width: f.width,
  height: f.height,
})
</script>

<template>
  <div ref="place" class="preview">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="The row of cushions as this lay cuts it">
      <g v-for="f in faces" :key="f.id">
        <template v-if="f.pattern">
          <defs><ClothPattern :id="`row-${f.id}`" :cloth="cloth" :k="scale.k" :origin-x="origin(f).x" :origin-y="origin(f).y" :bands-go="f.pattern.level ? 'right' : 'down'" /></defs>
          <rect v-bind="mirroredBox(f)" :transform="mirror(f)" :fill="`url(#row-${f.id})`" class="face" />
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.preview {
  height: 150px;
  overflow: hidden;
}

.face {
  stroke: var(--ink);
  stroke-width: 1;
}
</style>
