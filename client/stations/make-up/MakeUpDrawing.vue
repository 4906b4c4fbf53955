<script setup lang="ts">
import { computed, ref } from 'vue'
import { washedChoice } from '../../../core/pattern/index.ts'
import { pieceId } from '../../../core/cloth/index.ts'
import { clothFor, pipedPairs, seamPath } from '../../../core/cover/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import type { WorkedPart } from '../../../core/planned/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { onCloth, patternOn, seen, seenFaces } from '../../drawing/seen-cover.ts'
import { svgPoints, useScale } from '../../drawing/use-scale.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useSeam } from '../../stores/seam.ts'

/** A cushion of the chosen design finished, in its own cloth as the lay cuts it. */
const jobs = useJob()
const lays = useLay()
const lit = useSeam()
const design = useDesign()
const plan = computed(() => jobs.part as WorkedPart)
const place = ref<HTMLElement | null>(null)
const cover = computed(() => design.chosen!.cover)
const cloths = computed(() => washedChoice(jobs.job!.cloth))
const size = computed(() => cover.value.solid)
const faces = computed(() => seenFaces(cover.value))
/** The width over all is measured along the front, which may be shorter than it: its ends are in the picture too. */
const front = computed(() => {
  const { minX, maxX, minY } = boxOf(size.value.outline)
  return { left: seen({ x: minX, y: minY, z: 0 }), right: seen({ x: maxX, y: minY, z: 0 }) }
})
const corners = computed(() => faces.value.flatMap((f) => [...f.corners]))
const box = computed(() => boxOf([...corners.value, front.value.left, front.value.right]))
const leftMost = computed(() => boxOf(corners.value).minX)
const scale = useScale(place, box, { left: 80, right: 50, top: 56, bottom: 88 })
/** The first cushion of this design, whose stripes are shown. */
const cushion = computed(() => plan.value.cushions.inOrder.findIndex((c) => c.design === design.index))
const isGusset = (panel: string) => cover.value.panels.some((p) => p.id === panel && p.role === 'gusset')
const panelCloth = (panel: string) => clothFor(cloths.value, cover.value.panels.find((p) => p.id === panel)!.cloth)
const drawn = computed(() =>
  faces.value.map((f, i) => {
    const cloth = panelCloth(f.patch.panel)
    const isFlat = f.patch.bend === 'flat' && cloth.pattern.kind !== 'plain'
    return {
      ...f,
      id: `made-${i}`,
      cloth,
      points: svgPoints(f.corners, scale.value),
      transform: isFlat
        ? patternOn(
            f.patch,
            onCloth(
              lays.of(cloth.id),
              pieceId({ part: plan.value.prefix, cushion: cushion.value, layer: 'cover', panel: f.patch.panel }),
              cover.value.panels.find((p) => p.id === f.patch.panel)!,
            ),
            scale.value,
          )
        : null,
      isWhole: f.patch.bend === 'flat',
      hidden: isGusset(f.patch.panel),
    }
  }),
)
const linesOf = (letter: string | null) =>
  cover.value.seams
    .filter((s) => letter === null || s.letter === letter)
    .flatMap((s) =>
      s.pairs.map((pair) => ({
        kind: s.kind,
        points: svgPoints(seamPath(cover.value, [pair]).map(seen), scale.value),
      })),
    )
/** Piping where one of the panels beside it is seen. */
const piped = computed(() => {
  const { piping } = cover.value
  if (!piping) return null
  const shown = new Set(faces.value.map((f) => f.patch.panel))
  const { choice } = piping
  const seenPairs = pipedPairs(cover.value).filter(
    ({ a, b }) => shown.has(a.panel) || (shown.has(b.panel) && !isGusset(b.panel)),
  )
  return {
    width: Math.max(2.5, (choice.kind === 'flat' ? choice.showMm : choice.cordMm) * scale.value.k),
    colour: clothFor(cloths.value, 'piping').ground,
    lines: seenPairs.map((pair) => svgPoints(seamPath(cover.value, [pair]).map(seen), scale.value)),
  }
})
const litLines = computed(() => (lit.letter ? linesOf(lit.letter) : []))
const closureLines = computed(() => cover.value.closures.flatMap((c) => (c.seam ? linesOf(c.seam) : [])))
const isBehind = computed(() => cover.value.closures.length > 0)
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="One cushion, made up">
      <text x="16" y="28" class="caption">A cushion made up in its cloth, seen from the front</text>
      <defs>
        <template v-for="f in drawn" :key="f.id">
          <ClothPattern
            v-if="f.transform"
            :id="f.id"
            :cloth="f.cloth"
            :lay="lays.of(f.cloth.id)"
            :transform="f.transform"
          />
        </template>
      </defs>
      <g v-for="f in drawn" :key="f.key">
        <polygon
          :points="f.points"
          :class="f.isWhole ? 'face' : 'facet'"
          :fill="f.transform ? `url(#${f.id})` : f.cloth.ground"
          :style="f.isWhole ? undefined : { stroke: f.cloth.ground }"
        />
        <polygon :points="f.points" class="shade" :style="{ opacity: f.shade }" />
      </g>
      <template v-if="piped">
        <polyline
          v-for="(l, i) in piped.lines"
          :key="`p${i}`"
          :points="l"
          class="piping"
          :style="{ strokeWidth: `${piped.width + 1.4}px` }"
        />
        <polyline
          v-for="(l, i) in piped.lines"
          :key="`q${i}`"
          :points="l"
          class="piping"
          :style="{ strokeWidth: `${piped.width}px`, stroke: piped.colour }"
        />
      </template>
      <polyline v-for="(l, i) in closureLines" :key="`c${i}`" :points="l.points" class="closure" />
      <polyline v-for="(l, i) in litLines" :key="`l${i}`" :points="l.points" class="lit" />
      <DimensionLine
        :x1="scale.x(front.left.x)"
        :y1="scale.y(0) + 36"
        :x2="scale.x(front.right.x)"
        :y2="scale.y(0) + 36"
        :figure="size.width"
      />
      <DimensionLine
        :x1="scale.x(leftMost) - 30"
        :y1="scale.y(0)"
        :x2="scale.x(leftMost) - 30"
        :y2="scale.y(size.thickness.value)"
        :figure="size.thickness"
      />
      <text v-if="isBehind" x="16" :y="scale.height - 12" class="caption">
        dashed: where it closes, also where that lies behind or below
      </text>
    </svg>
  </div>
</template>

<style scoped>
.face {
  stroke: var(--ink);
  stroke-width: 1.1;
  stroke-linejoin: round;
}

.facet {
  stroke-width: 0.6;
}

.shade {
  fill: var(--ink);
  pointer-events: none;
}

.piping {
  fill: none;
  stroke: var(--ink);
  stroke-linejoin: round;
  stroke-linecap: round;
}

.closure {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-dasharray: 4 3;
  opacity: 0.7;
}

.lit {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 5;
  opacity: 0.75;
}
</style>
