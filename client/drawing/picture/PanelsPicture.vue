<script setup lang="ts">
import { computed } from 'vue'
import {
  layDown,
  neighbourly,
  onPiece,
  seamLength,
  sewnOutline,
  shortName,
  stretchPoints,
  turnedOutline,
  type Cover,
} from '../../../core/cover/index.ts'
import { at, boxOf, boxRound } from '../../../core/outline/index.ts'
import { scaleWithin, svgPath } from '../use-scale.ts'

/** The panels of a cover beside their neighbours for paper, with the letters of their seams. */
const props = defineProps<{ cover: Cover; width: number; height: number }>()
const laid = computed(() => neighbourly(props.cover, 40))
const scale = computed(() =>
  scaleWithin(props, boxRound(laid.value.map((l) => turnedOutline(l, sewnOutline(l.panel)))), {
    left: 10,
    right: 10,
    top: 10,
    bottom: 10,
  }),
)
const px = (p: { x: number; y: number }) => at(scale.value.x(p.x), scale.value.y(p.y))
const panels = computed(() =>
  laid.value.map((l) => {
    const outline = turnedOutline(l, sewnOutline(l.panel))
    const box = boxOf(outline)
    const name = shortName(l.panel)
    return {
      id: l.panel.id,
      d: svgPath(outline, scale.value),
      name,
      middle: px(at((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2)),
      fits: (box.maxX - box.minX) * scale.value.k > name.length * 6 && (box.maxY - box.minY) * scale.value.k > 14,
    }
  }),
)
/** Each letter in the middle of either side of its seam, where there is room for it. */
const letters = computed(() =>
  props.cover.seams
    .filter((s) => seamLength(s) > 0)
    .flatMap((s) =>
      s.pairs.flatMap((pair) =>
        [pair.a, pair.b].flatMap((on, side) => {
          const l = laid.value.find((d) => d.panel.id === on.panel)
          if (!l) return []
          const [from, middle, to] = stretchPoints(l.panel, on, 2).map((p) => px(layDown(l, onPiece(l.panel, p))))
          return Math.hypot(to!.x - from!.x, to!.y - from!.y) > 16
            ? [{ key: `${s.letter} ${on.panel} ${on.edge} ${on.from} ${side}`, letter: s.letter, at: middle! }]
            : []
        }),
      ),
    ),
)
</script>

<template>
  <svg :width="width" :height="height" role="img" aria-label="Panels beside their neighbours, seams by letter">
    <g v-for="p in panels" :key="p.id">
      <path :d="p.d" fill="none" stroke="#222" stroke-width="1" />
      <text v-if="p.fits" :x="p.middle.x" :y="p.middle.y + 4" text-anchor="middle" font-size="10">{{ p.name }}</text>
    </g>
    <g v-for="l in letters" :key="l.key">
      <circle :cx="l.at.x" :cy="l.at.y" r="6.5" fill="#fff" stroke="#222" stroke-width="0.8" />
      <text :x="l.at.x" :y="l.at.y + 3.2" text-anchor="middle" font-size="9">{{ l.letter }}</text>
    </g>
  </svg>
</template>
