<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import { boxOf, type Outline } from '../../../core/outline/index.ts'
import { pieceId } from '../../../core/cloth/index.ts'
import { frontFace, topFace, type Cover, type Panel, type Patch } from '../../../core/cover/index.ts'
import { washed } from '../../../core/pattern/index.ts'
import type { WorkedPlan } from '../../../core/planned/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import { onCloth, panelPoint } from '../../drawing/seen-cover.ts'
import { svgPath, useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'

/**
 * The row as it will stand: plates from above and the front boxing below them, with the stripes this very lay gives
 * each.
 */
const props = defineProps<{ lay: Lay }>()
const jobs = useJob()
const plan = computed(() => jobs.plan as WorkedPlan)
const cloth = computed(() => washed(jobs.job!.cloth.cloth))
const place = ref<HTMLElement | null>(null)
const BETWEEN_SINGLES_MM = 40

/** Every cushion's panels with where their own origin stands in the drawing, in mm. */
const faces = computed(() => {
  const { division } = jobs.job!.seat
  const gap = division.kind === 'singles' ? BETWEEN_SINGLES_MM : Math.max(0, division.gapMm)
  let left = 0
  return plan.value.cushions.inOrder.flatMap(({ design }, i) => {
    const { panels } = plan.value.designs[design]!.cover
    const cover = plan.value.designs[design]!.cover
    const top = shownFrom(cover, topFace(cover)) ?? { panel: cover.panels[0]!, outline: cover.panels[0]!.finished }
    const boxing = panels.find((p) => p.role === 'boxing' && p.face === 'front')
    const front = boxing ? { panel: boxing, outline: boxing.finished } : shownFrom(cover, frontFace(cover))
    const box = boxOf(top.outline)
    const face = ({ panel, outline }: Shown, x: number, y: number) => ({
      id: pieceId({ cushion: i, layer: 'cover', panel: panel.id }),
      panel,
      outline,
      x,
      y,
    })
    const both = [
      face(top, left - box.minX, -box.minY),
      ...(front
        ? [
            face(
              front,
              boxing ? left + frontLeft(top.panel) - box.minX : left - boxOf(front.outline).minX,
              -boxOf(front.outline).maxY,
            ),
          ]
        : []),
    ]
    left += box.maxX - box.minX + gap
    return both
  })
})
interface Shown {
  readonly panel: Panel
  readonly outline: Outline
}
const shownFrom = (cover: Cover, patch: Patch | null): Shown | null =>
  patch && { panel: cover.panels.find((p) => p.id === patch.panel)!, outline: patch.outline }
const frontLeft = (top: Panel) =>
  Math.min(...top.edges.flatMap((e, i) => (e.side === 'front' ? [top.finished[i]!.x] : [])))
const box = computed(() => {
  const boxes = faces.value.map((f) => ({ f, b: boxOf(f.outline) }))
  return {
    minX: Math.min(...boxes.map(({ f, b }) => f.x + b.minX)),
    minY: Math.min(...boxes.map(({ f, b }) => f.y + b.minY)),
    maxX: Math.max(...boxes.map(({ f, b }) => f.x + b.maxX)),
    maxY: Math.max(...boxes.map(({ f, b }) => f.y + b.maxY)),
  }
})
const scale = useScale(place, box, { left: 8, right: 8, top: 8, bottom: 8 })

/** Lays the cloth on a face as the lay cuts it: cloth to panel backwards through the placement, panel to pixels. */
function clothOn(f: (typeof faces.value)[number]): string | null {
  if (!props.lay.placements.some((p) => p.id === f.id)) return null
  const where = onCloth(props.lay, f.id, f.panel)
  const { k, x, y } = scale.value
  const [o, u, v] = [panelPoint(0, 0, where), panelPoint(1, 0, where), panelPoint(0, 1, where)]
  return `matrix(${k * (u.x - o.x)} ${-k * (u.y - o.y)} ${k * (v.x - o.x)} ${-k * (v.y - o.y)} ${x(f.x + o.x)} ${y(f.y + o.y)})`
}
const shapes = computed(() =>
  faces.value.map((f, i) => {
    const { k, x, y } = scale.value
    return {
      id: `row-${i}`,
      d: svgPath(f.outline, { k, x: (mm) => x(mm + f.x), y: (mm) => y(mm + f.y) }),
      transform: clothOn(f),
    }
  }),
)
</script>

<template>
  <div ref="place" class="preview">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="The row of cushions as this lay cuts it">
      <g v-for="f in shapes" :key="f.id">
        <template v-if="f.transform">
          <defs><ClothPattern :id="f.id" :cloth="cloth" :lay="lay" :transform="f.transform" /></defs>
          <path :d="f.d" :fill="`url(#${f.id})`" class="face" />
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
