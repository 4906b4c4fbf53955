<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { sewnOutline } from '../../../core/cover/index.ts'
import { onTheCloth, placementKey } from '../../../core/lay/index.ts'
import { at, boxOf, flatten, type Point } from '../../../core/outline/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { labelsOf, tagFor } from './piece-tags.ts'
import { useScale } from '../../drawing/use-scale.ts'
import ThreadGlass from '../../drawing/ThreadGlass.vue'
import { useZoom } from '../../drawing/use-zoom.ts'
import ZoomButtons from '../../drawing/ZoomButtons.vue'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useHand } from './use-hand.ts'

/** The roll lies from left to right, its left selvedge at the top, its starting end at the left. */
const props = defineProps<{
  plan: ClothLay
  lay: Lay
  isFixed: boolean
  marked: string | null
  /** A corner that is being chalked: from the left selvedge edge and from the starting end. */
  point?: { readonly fromSelvedge: number; readonly fromStart: number } | null
}>()
const emit = defineEmits<{ mark: [piece: string | null] }>()
const jobs = useJob()
const lays = useLay()
const cloth = computed(() => props.plan.laidOn)
const place = ref<HTMLElement | null>(null)
/** All of a cloth in hand, as much of a roll as is used; while a piece is dragged, no less than before. */
const shownMm = computed(() => {
  const { supply } = cloth.value
  const inHand = supply.kind === 'remnant' ? Math.max(...supply.outline.map((p) => p[1])) : 0
  return Math.max(props.lay.length, inHand, heldMm.value)
})
const heldMm = ref(0)
const MARGINS = { left: 54, right: 24, top: 40, bottom: 44 }
const CAPTION_AND_TOOLS_PX = 730
/** Drawing coordinates: x along the roll, y down across it from the left selvedge, so y is turned round for the scale. */
const zoom = useZoom(
  place,
  useScale(
    place,
    computed(() => ({ minX: 0, minY: -cloth.value.widthMm, maxX: shownMm.value, maxY: 0 })),
    MARGINS,
  ),
  { wheel: 'plain' },
)
const { scale } = zoom
const hasGlass = ref(false)
const { held, drag, press } = useHand(scale)
watch(held, (key) => (heldMm.value = key === null ? 0 : shownMm.value))
const faulty = computed(
  () => new Set(lays.faults.flatMap((f) => ('piece' in f ? [f.piece, ...('other' in f ? [f.other] : [])] : []))),
)
const isFaulty = (p: { id: string; copy: number }) => faulty.value.has(p.id) || faulty.value.has(`${p.id} (${p.copy})`)
const onCloth = (across: number, along: number): Point => at(scale.value.x(along), scale.value.y(-across))
/** Over the left end of the cloth; of a short lay further left, clear of the tools at the right. */
const captionX = computed(() =>
  Math.min(onCloth(0, 0).x, Math.max(MARGINS.left, scale.value.width - CAPTION_AND_TOOLS_PX)),
)
const lit = computed(() => onCloth(props.point?.fromSelvedge ?? 0, props.point?.fromStart ?? 0))
watch(
  () => props.point,
  (p) => p && zoom.bring(lit.value.x, lit.value.y),
)
/** Across the roll is down, along it is to the right. */
const clothToPixels = computed(
  () => `matrix(0 ${scale.value.k} ${scale.value.k} 0 ${onCloth(0, 0).x} ${onCloth(0, 0).y})`,
)
const path = (outline: readonly Point[]) => outline.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' ')

/** A piece that is dragged lies over all others. */
const inOrder = computed(() =>
  props.lay.placements.toSorted(
    (a, b) => Number(placementKey(a) === held.value) - Number(placementKey(b) === held.value),
  ),
)
const pieces = computed(() =>
  inOrder.value.map((place) => {
    const piece = props.plan.pieces.find((p) => p.id === place.id)!
    const put = (p: Point) => onCloth(...onTheCloth(place, p.x, p.y))
    const cut = flatten(piece.cut, DRAWN_MM).map(put)
    const box = boxOf(cut)
    const up = put(at(0, 1))
    const origin = put(at(0, 0))
    return {
      key: placementKey(place),
      place,
      isLocked: lays.locked.has(placementKey(place)),
      isWrong: isFaulty(place),
      id: place.id,
      cut,
      sew: piece.of ? flatten(sewnOutline(piece.of.panel), DRAWN_MM).map(put) : null,
      title: piece.name,
      centre: { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 },
      pin: { x: box.minX + 9, y: (box.minY + box.maxY) / 2 },
      tag: tagFor(box.maxX - box.minX, box.maxY - box.minY, labelsOf(piece)),
      arrow: {
        dx: (up.x - origin.x) / scale.value.k,
        dy: (up.y - origin.y) / scale.value.k,
        from: 13,
        length: !piece.of ? 0 : Math.min(26, (box.maxX - box.minX) / 2 - 16, (box.maxY - box.minY) / 2 - 16),
      },
      matched: piece.matched,
    }
  }),
)
/** Arcs are drawn as chords this near to them. */
const DRAWN_MM = 0.5
</script>

<template>
  <div
    ref="place"
    class="place"
    :style="{ touchAction: zoom.factor.value === 1 ? 'pan-x pan-y' : 'none' }"
    tabindex="0"
    aria-label="The lay; + and - make it larger and smaller, arrows move it, M lays a glass on it"
    @keydown.m="hasGlass = !hasGlass"
  >
    <svg :width="scale.width" :height="scale.height" role="group" aria-label="The lay, to scale, on the cloth">
      <defs>
        <ClothPattern id="lay-cloth" :cloth="cloth" :lay="lay" :transform="clothToPixels" />
        <marker id="lay-arrow" viewBox="0 0 8 8" refX="6" refY="4" markerWidth="7" markerHeight="7" orient="auto">
          <path d="M0 0 8 4 0 8z" fill="#22282c" />
        </marker>
      </defs>
      <g id="lay-drawn">
        <rect
          :x="onCloth(0, 0).x"
          :y="onCloth(0, 0).y"
          :width="shownMm * scale.k"
          :height="cloth.widthMm * scale.k"
          fill="url(#lay-cloth)"
        />
        <rect
          :x="onCloth(0, 0).x"
          :y="onCloth(0, 0).y"
          :width="shownMm * scale.k"
          :height="cloth.widthMm * scale.k"
          class="waste"
        />
        <rect
          v-for="(s, i) in [
            { at: 0, w: cloth.selvedgeMm[0] },
            { at: cloth.widthMm - cloth.selvedgeMm[1], w: cloth.selvedgeMm[1] },
          ]"
          :key="i"
          :x="onCloth(0, 0).x"
          :y="onCloth(s.at, 0).y"
          :width="shownMm * scale.k"
          :height="s.w * scale.k"
          class="selvedge"
        />
        <polygon
          v-if="cloth.supply.kind === 'remnant'"
          :points="path(cloth.supply.outline.map(([x, y]) => onCloth(x, y)))"
          class="remnant"
        />
        <g
          v-for="p in pieces"
          :key="p.key"
          class="piece"
          :class="{ marked: marked === p.id, wrong: p.isWrong, locked: p.isLocked || isFixed }"
          tabindex="0"
          role="button"
          :aria-label="`${p.title}${p.isLocked ? ', locked' : ''}${p.isWrong ? ', lies wrong' : ''}`"
          @mouseenter="emit('mark', p.id)"
          @mouseleave="emit('mark', null)"
          @focus="emit('mark', p.id)"
          @blur="emit('mark', null)"
          @pointerdown.prevent="!isFixed && drag($event, p.place)"
          @dblclick="!isFixed && lays.toggleLock(p.place)"
          @keydown="!isFixed && press($event, p.place)"
        >
          <title>
            {{ p.title
            }}{{
              isFixed ? '' : `${p.isLocked ? ', locked' : ''}. Drag it; arrows, R turns, L or a double click locks.`
            }}
          </title>
          <polygon :points="path(p.cut)" fill="url(#lay-cloth)" class="cut" />
          <polygon v-if="p.sew" :points="path(p.sew)" class="sew" />
          <line
            v-if="p.arrow.length > 10"
            :x1="p.centre.x + p.arrow.dx * p.arrow.from"
            :y1="p.centre.y + p.arrow.dy * p.arrow.from"
            :x2="p.centre.x + p.arrow.dx * (p.arrow.from + p.arrow.length)"
            :y2="p.centre.y + p.arrow.dy * (p.arrow.from + p.arrow.length)"
            class="arrow"
            marker-end="url(#lay-arrow)"
          />
          <g v-if="p.tag" :transform="`translate(${p.centre.x} ${p.centre.y}) rotate(${p.tag.isUpright ? -90 : 0})`">
            <rect
              :x="-p.tag.wide / 2"
              :y="-p.tag.size * 0.62"
              :width="p.tag.wide"
              :height="p.tag.size * 1.24"
              rx="2"
              class="tag"
            />
            <text :y="p.tag.size * 0.35" :font-size="p.tag.size" text-anchor="middle">{{ p.tag.words }}</text>
          </g>
          <circle v-if="p.isLocked" :cx="p.pin.x" :cy="p.pin.y" r="5" class="pin" />
        </g>
        <g v-for="(f, i) in cloth.flaws" :key="`flaw-${i}`" class="flaw">
          <rect
            :x="onCloth(0, f.yMm).x"
            :y="onCloth(f.xMm, 0).y"
            :width="f.lengthMm * scale.k"
            :height="f.widthMm * scale.k"
          >
            <title>Flaw {{ i + 1 }}</title>
          </rect>
        </g>
        <rect
          :x="onCloth(0, 0).x"
          :y="onCloth(0, 0).y"
          :width="shownMm * scale.k"
          :height="cloth.widthMm * scale.k"
          class="edge"
        />
        <DimensionLine
          :x1="onCloth(0, 0).x"
          :x2="onCloth(0, lay.length).x"
          :y1="onCloth(cloth.widthMm, 0).y + 28"
          :y2="onCloth(cloth.widthMm, 0).y + 28"
          :text="`${formatLengthWithUnit(lay.length, jobs.job!.units)} along the roll`"
        />
        <DimensionLine
          :x1="onCloth(0, 0).x - 18"
          :x2="onCloth(0, 0).x - 18"
          :y1="onCloth(cloth.widthMm, 0).y"
          :y2="onCloth(0, 0).y"
          :text="formatLengthWithUnit(cloth.widthMm, jobs.job!.units)"
        />
        <text :x="captionX" :y="onCloth(0, 0).y - 9" class="caption">
          {{ plan.isFolded ? 'both selvedges here, the fold below' : 'left selvedge' }} · starting end at the left ·
          arrows: back of plates, top of boxing
        </text>
        <g v-if="point" class="point" aria-hidden="true">
          <line :x1="onCloth(0, 0).x" :y1="lit.y" :x2="lit.x" :y2="lit.y" />
          <line :x1="lit.x" :y1="onCloth(0, 0).y" :x2="lit.x" :y2="lit.y" />
          <circle :cx="lit.x" :cy="lit.y" r="7" />
        </g>
      </g>
    </svg>
    <ThreadGlass v-if="hasGlass" :over="place" drawn="lay-drawn" :k="scale.k" :units="jobs.job!.units" />
    <ZoomButtons :zoom="zoom" :of="place" name="the lay">
      <button
        type="button"
        class="plain-button"
        :aria-pressed="hasGlass"
        title="A glass to look through: M"
        @click="hasGlass = !hasGlass"
      >
        Glass
      </button>
    </ZoomButtons>
  </div>
</template>

<style scoped>
.place {
  position: relative;
  height: 100%;
  overflow: hidden;
  background: var(--paper);
}

.point line {
  stroke: var(--rust);
  stroke-width: 2;
  stroke-dasharray: 7 4;
}

.point circle {
  fill: none;
  stroke: var(--rust);
  stroke-width: 3;
}

.waste {
  fill: var(--paper);
  opacity: 0.72;
}

.selvedge {
  fill: #b5a888;
  opacity: 0.75;
}

.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}

.cut {
  stroke: var(--ink);
  stroke-width: 1.5;
}

.sew {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.2;
  stroke-dasharray: 5 3;
}

#lay-drawn :deep(*) {
  vector-effect: non-scaling-stroke;
}

.tag,
.piece text {
  display: var(--tags, inline);
}

.tag {
  fill: var(--field);
  opacity: 0.92;
}

.piece text {
  font-weight: 600;
}

.piece {
  cursor: grab;
  outline: none;
}

.piece.locked {
  cursor: default;
}

.pin {
  fill: var(--ink);
  stroke: var(--field);
  stroke-width: 1.5;
}

.piece.wrong .cut {
  stroke: var(--rust);
  stroke-width: 3.5;
}

.remnant {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}

.flaw rect {
  fill: var(--rust-wash);
  stroke: var(--rust);
  stroke-dasharray: 3 2;
}

.piece.marked .cut,
.piece:focus-visible .cut {
  stroke: var(--chalk);
  stroke-width: 4;
}

.arrow {
  stroke: var(--ink);
  stroke-width: 1.4;
}

.caption {
  font-size: 13px;
  fill: var(--ink-soft);
}
</style>
