<script setup lang="ts">
import { computed, ref } from 'vue'
import { at, boxOf, flatten, type Point } from '../../../core/outline/index.ts'
import type { WorkedPlan } from '../../../core/plan.ts'
import { bandCentre, ruledPlace } from '../../../core/cloth/index.ts'
import { frontSpan } from '../../../core/seat/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { svgPoints, useScale } from '../../drawing/use-scale.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { BACK, seen, wallFaces, type WallFace } from './made-up.ts'

/** A cushion of the chosen design finished, in its own cloth. */
const jobs = useJob()
const design = useDesign()
const plan = computed(() => jobs.plan as WorkedPlan)
const place = ref<HTMLElement | null>(null)
const cover = computed(() => design.chosen!.cover)
const size = computed(() => design.chosen!.filling.sizing.cover)
const top = computed(() => flatten(cover.value.wall.top, 1).map((p) => seen(p, cover.value.wall.heightMm)))
const walls = computed(() => wallFaces(cover.value))
const box = computed(() => boxOf([...top.value, ...walls.value.flatMap((w) => [...w.corners])]))
const scale = useScale(place, box, { left: 80, right: 70, top: 50, bottom: 60 })
const points = (outline: readonly Point[]) => svgPoints(outline, scale.value)
const piping = computed(() => cover.value.piping)
const pipe = computed(() => Math.max(2.5, (piping.value?.choice.cordMm ?? 0) * scale.value.k))
const choice = computed(() => jobs.job!.cloth)
/** The first cushion of this design, whose stripes are shown. */
const cushion = computed(() => plan.value.cushions.inOrder.findIndex((c) => c.design === design.index))
/** Where a repeat begins, in mm from the left edge (stripes front to back) or from the front (stripes left to right). */
const repeatStart = computed(() => {
  const { pattern } = choice.value.cloth
  if (pattern.kind === 'plain' || choice.value.match.kind === 'none') return 0
  return ruledPlace(choice.value, plan.value.cushions, cushion.value) - bandCentre(pattern.bands, Math.min(choice.value.match.rule.band, pattern.bands.length - 1))
})
const goesAcross = computed(() => choice.value.direction === 'up-the-roll')
/** Lays the cloth, in millimetres, on a face: its bands follow one drawn direction, and run along the other. */
const lay = (bands: string, run: string, from: Point) => `matrix(${bands} ${run} ${scale.value.x(from.x)} ${scale.value.y(from.y)})`
const onTop = computed(() => {
  const { k } = scale.value
  const [across, back] = [`${k} 0`, `${BACK.x * k} ${-BACK.y * k}`]
  const from = seen(at(0, 0), cover.value.wall.heightMm)
  return goesAcross.value ? lay(across, back, from) : lay(back, across, from)
})
/** On a side the bands follow its length, or stand on each other; a front that matches counts from the left. */
function onWall(w: WallFace): string {
  const { k } = scale.value
  const [a, b] = [w.corners[0], w.corners[1]]
  const length = Math.hypot(w.foot[1].x - w.foot[0].x, w.foot[1].y - w.foot[0].y) || 1
  const alongMm = w.side === 'front' && goesAcross.value ? Math.abs(w.foot[1].x - w.foot[0].x) || 1 : length
  const along = [((b.x - a.x) / alongMm) * k, (-(b.y - a.y) / alongMm) * k] as const
  const startMm = w.side === 'front' && goesAcross.value ? w.foot[0].x : w.fromMm
  const from = at(a.x - ((b.x - a.x) / alongMm) * startMm, a.y - ((b.y - a.y) / alongMm) * startMm)
  const up = `0 ${-k}`
  const isAlong = w.side !== 'front' && choice.value.sideBoxing === 'along'
  return isAlong ? lay(up, `${along[0]} ${along[1]}`, from) : lay(`${along[0]} ${along[1]}`, up, from)
}
const faces = computed(() => walls.value.map((w, i) => ({ ...w, id: `made-wall-${i}`, transform: onWall(w), isGusset: w.panel.startsWith('gusset'), shade: 0.03 + 0.1 * Math.max(0, (w.foot[1].y - w.foot[0].y) / (Math.hypot(w.foot[1].x - w.foot[0].x, w.foot[1].y - w.foot[0].y) || 1)) })))
const middle = (p: Point, q: Point) => ({ x: scale.value.x((p.x + q.x) / 2), y: scale.value.y((p.y + q.y) / 2) })
const seamLines = (f: WallFace): readonly (readonly [Point, Point])[] => [[f.corners[0], f.corners[1]], ...(f.lines.start ? [[f.corners[0], f.corners[3]] as const] : []), ...(f.lines.end ? [[f.corners[1], f.corners[2]] as const] : [])]
const gusset = computed(() => faces.value.find((f) => f.isGusset))
const line = (p: Point) => ({ x: scale.value.x(p.x), y: scale.value.y(p.y) })
const front = computed(() => frontSpan(size.value))
/** The width over all is that of the front edge. */
const isFullFront = computed(() => Math.abs(front.value.to - front.value.from - size.value.width.value) < 1)
const ends = computed(() => ({ left: line(seen(at(front.value.from, 0), 0)), right: line(seen(at(front.value.to, 0), 0)) }))
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="One cushion, made up">
      <text x="16" y="28" class="caption">A cushion made up in its cloth; gusset and zip round the back corners</text>
      <defs>
        <ClothPattern id="made-top" :cloth="choice.cloth" :k="1" :origin-x="repeatStart" bands-go="right" :transform="onTop" />
        <ClothPattern v-for="f in faces" :id="f.id" :key="f.id" :cloth="choice.cloth" :k="1" :origin-x="repeatStart" bands-go="right" :transform="f.transform" />
      </defs>
      <g v-for="f in faces" :key="f.id">
        <polygon :points="points(f.corners)" class="wall" :class="{ gusset: f.isGusset }" :fill="f.isGusset ? undefined : `url(#${f.id})`" />
        <polygon :points="points(f.corners)" class="shade" :style="{ opacity: f.shade }" />
        <line v-for="[p, q] in seamLines(f)" :key="`${p.x} ${q.x} ${p.y}`" :x1="line(p).x" :y1="line(p).y" :x2="line(q).x" :y2="line(q).y" class="seam" />
        <line v-if="f.isGusset" :x1="middle(f.corners[0], f.corners[3]).x" :y1="middle(f.corners[0], f.corners[3]).y" :x2="middle(f.corners[1], f.corners[2]).x" :y2="middle(f.corners[1], f.corners[2]).y" class="zip" />
        <line v-if="piping && piping.choice.rows === 'both'" :x1="line(f.corners[0]).x" :y1="line(f.corners[0]).y" :x2="line(f.corners[1]).x" :y2="line(f.corners[1]).y" class="piping" :style="{ strokeWidth: `${pipe}px` }" />
      </g>
      <polygon :points="points(top)" class="plate" fill="url(#made-top)" />
      <polygon v-if="piping" :points="points(top)" class="piping" :style="{ strokeWidth: `${pipe}px` }" />
      <DimensionLine v-if="isFullFront" :x1="ends.left.x" :y1="ends.left.y + 34" :x2="ends.right.x" :y2="ends.left.y + 34" :figure="size.width" />
      <DimensionLine :x1="scale.x(box.minX) - 30" :y1="scale.y(0)" :x2="scale.x(box.minX) - 30" :y2="scale.y(size.thickness.value)" :figure="size.thickness" />
      <text v-if="gusset" :x="line(gusset.corners[0]).x + 4" :y="line(gusset.corners[0]).y + 40" text-anchor="middle">gusset, zip</text>
    </svg>
  </div>
</template>

<style scoped>
.plate,
.wall {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-linejoin: round;
}

.wall {
  stroke: none;
}

.seam {
  stroke: var(--ink);
  stroke-width: 1;
}

.shade {
  fill: var(--ink);
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
  stroke-linecap: round;
}
</style>
