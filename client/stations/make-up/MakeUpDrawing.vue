<script setup lang="ts">
import { computed, ref } from 'vue'
import { at, boxOf, type Point } from '../../../core/outline/index.ts'
import type { WorkedPlan } from '../../../core/plan.ts'
import { bandCentre, ruledPlace } from '../../../core/cloth/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { svgPoints, useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'

/** The first cushion finished, seen from the front right above, in its own cloth: widths and heights to scale, depth shortened. */
const jobs = useJob()
const plan = computed(() => jobs.plan as WorkedPlan)
const place = ref<HTMLElement | null>(null)
const cover = computed(() => plan.value.filling.sizing.cover)
const BACK = { x: Math.cos((35 * Math.PI) / 180) * 0.55, y: Math.sin((35 * Math.PI) / 180) * 0.55 }
const seen = (x: number, y: number, z: number): Point => at(x + y * BACK.x, z + y * BACK.y)

const faces = computed(() => {
  const [w, d, t] = [cover.value.width.value, cover.value.depth.value, cover.value.thickness.value]
  const k = plan.value.cover.closure.lengthMm.value / 2 - w / 2
  return {
    top: [seen(0, 0, t), seen(w, 0, t), seen(w, d, t), seen(0, d, t)],
    front: [seen(0, 0, 0), seen(w, 0, 0), seen(w, 0, t), seen(0, 0, t)],
    side: [seen(w, 0, 0), seen(w, d - k, 0), seen(w, d - k, t), seen(w, 0, t)],
    gusset: [seen(w, d - k, 0), seen(w, d, 0), seen(w, d, t), seen(w, d - k, t)],
    zip: [seen(w, d - k, t / 2), seen(w, d, t / 2)] as const,
    lower: [seen(0, 0, 0), seen(w, 0, 0), seen(w, d, 0)],
    zipFrom: seen(w, d - k, 0),
  }
})
const box = computed(() => boxOf([...faces.value.top, ...faces.value.front, ...faces.value.side, ...faces.value.gusset]))
const scale = useScale(place, box, { left: 80, right: 70, top: 50, bottom: 60 })
const points = (outline: readonly Point[]) => svgPoints(outline, scale.value)
const piping = computed(() => plan.value.cover.piping)
const pipe = computed(() => Math.max(2.5, (piping.value?.choice.cordMm ?? 0) * scale.value.k))
const choice = computed(() => jobs.job!.cloth)
/** Where a repeat begins, in mm from the left edge (stripes front to back) or from the front (stripes left to right). */
const repeatStart = computed(() => {
  const { pattern } = choice.value.cloth
  if (pattern.kind === 'plain' || choice.value.match.kind === 'none') return 0
  return ruledPlace(choice.value, plan.value.cushions, 0) - bandCentre(pattern.bands, Math.min(choice.value.match.rule.band, pattern.bands.length - 1))
})
/** Lays the cloth, in millimetres, on each face: its bands follow one drawn direction, and run along the other. */
const onFace = computed(() => {
  const { k, x, y } = scale.value
  const [across, back, up] = [`${k} 0`, `${BACK.x * k} ${-BACK.y * k}`, `0 ${-k}`]
  const lay = (bands: string, run: string, from: Point) => `matrix(${bands} ${run} ${x(from.x)} ${y(from.y)})`
  const [w, t] = [cover.value.width.value, cover.value.thickness.value]
  const goesAcross = choice.value.direction === 'up-the-roll'
  const upright = choice.value.sideBoxing === 'upright'
  return {
    top: goesAcross ? lay(across, back, seen(0, 0, t)) : lay(back, across, seen(0, 0, t)),
    front: goesAcross || upright ? lay(across, up, seen(0, 0, 0)) : lay(up, across, seen(0, 0, 0)),
    side: !goesAcross || upright ? lay(back, up, seen(w, 0, 0)) : lay(up, back, seen(w, 0, 0)),
  }
})
const line = (p: Point) => ({ x: scale.value.x(p.x), y: scale.value.y(p.y) })
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="One cushion, made up">
      <text x="16" y="28" class="caption">The first cushion made up in its cloth; gusset and zip round the back corners</text>
      <defs>
        <ClothPattern v-for="(transform, face) in onFace" :id="`made-${face}`" :key="face" :cloth="choice.cloth" :k="1" :origin-x="repeatStart" bands-go="right" :transform="transform" />
      </defs>
      <polygon :points="points(faces.front)" class="boxing" fill="url(#made-front)" />
      <polygon :points="points(faces.side)" class="boxing" fill="url(#made-side)" />
      <polygon :points="points(faces.side)" class="shade" />
      <polygon :points="points(faces.gusset)" class="gusset" />
      <polygon :points="points(faces.top)" class="plate" fill="url(#made-top)" />
      <line :x1="line(faces.zip[0]).x" :y1="line(faces.zip[0]).y" :x2="line(faces.zip[1]).x" :y2="line(faces.zip[1]).y" class="zip" />
      <template v-if="piping">
        <polygon :points="points(faces.top)" class="piping" :style="{ strokeWidth: `${pipe}px` }" />
        <polyline v-if="piping.choice.rows === 'both'" :points="points(faces.lower)" class="piping" :style="{ strokeWidth: `${pipe}px` }" />
      </template>
      <DimensionLine :x1="line(faces.front[0]!).x" :y1="line(faces.front[0]!).y + 34" :x2="line(faces.front[1]!).x" :y2="line(faces.front[1]!).y + 34" :figure="plan.cover.panels[0]!.figures.finishedWidth" />
      <DimensionLine :x1="line(faces.front[0]!).x - 30" :y1="line(faces.front[0]!).y" :x2="line(faces.front[3]!).x - 30" :y2="line(faces.front[3]!).y" :figure="cover.thickness" />
      <text :x="line(faces.zipFrom).x + 4" :y="line(faces.zipFrom).y + 40" text-anchor="middle">gusset, zip</text>
    </svg>
  </div>
</template>

<style scoped>
.plate,
.boxing,
.gusset {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-linejoin: round;
}

.shade {
  fill: var(--ink);
  opacity: 0.12;
}

.gusset {
  fill: #d6dfe4;
}

.gusset {
  fill: #d6dfe4;
}

.zip {
  stroke: var(--ink);
  stroke-width: 3;
  stroke-dasharray: 4 2.5;
}

.piping {
  fill: none;
  stroke: #8a6a22;
  stroke-linejoin: round;
}

</style>
