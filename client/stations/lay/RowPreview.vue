<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import { boxOf, type Box, type Outline } from '../../../core/outline/index.ts'
import { pieceId } from '../../../core/cloth/index.ts'
import { frontFace, topFace, type Cover, type Panel, type Patch } from '../../../core/cover/index.ts'
import { isRow } from '../../../core/seat/index.ts'
import type { WorkedPart, WorkedPlan } from '../../../core/planned/index.ts'
import ClothPattern from '../../drawing/ClothPattern.vue'
import { onCloth, panelPoint } from '../../drawing/seen-cover.ts'
import { svgPath, useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'

/**
 * The rows as they will stand, backs above their seats: plates from above and the front boxing below them, with the
 * stripes this very lay gives each.
 */
const props = defineProps<{ lay: Lay }>()
const jobs = useJob()
const plan = computed(() => jobs.plan as WorkedPlan)
const lays = useLay()
const cloth = computed(() => lays.chosen!.laidOn)
const place = ref<HTMLElement | null>(null)
const BETWEEN_SINGLES_MM = 40
const BETWEEN_ROWS_MM = 70

/** Every row with each cushion's panels, and where their own origin stands in the drawing, in mm. */
const faces = computed(() => {
  const rows = plan.value.worked.map(facesOf).filter((faces) => faces.length > 0)
  const boxes = rows.map(boxAround)
  const widest = Math.max(...boxes.map((b) => b.maxX - b.minX))
  let foot = 0
  return rows.flatMap((row, i) => {
    const b = boxes[i]!
    const [dx, dy] = [(widest - (b.maxX - b.minX)) / 2 - b.minX, foot - b.minY]
    foot += b.maxY - b.minY + BETWEEN_ROWS_MM
    return row.map((f) => ({ ...f, x: f.x + dx, y: f.y + dy }))
  })
})

function facesOf({ part, prefix, cushions, designs }: WorkedPart): readonly Face[] {
  const { division } = part.seat
  const gap = isRow(division) ? Math.max(0, division.gapMm) : BETWEEN_SINGLES_MM
  let left = 0
  return cushions.inOrder.flatMap(({ design }, i) => {
    const { cover } = designs[design]!
    const { panels } = cover.whole
    const top = shownFrom(cover.whole, topFace(cover.whole)) ?? { panel: panels[0]!, outline: panels[0]!.finished }
    const boxing = panels.find((p) => p.role === 'boxing' && p.face === 'front')
    const front = boxing ? { panel: boxing, outline: boxing.finished } : shownFrom(cover.whole, frontFace(cover.whole))
    const box = boxOf(top.outline)
    const face = (shown: Shown, x: number, y: number) =>
      inPieces(cover, shown).map(({ panel, outline }) => ({
        id: pieceId({ part: prefix, cushion: i, layer: 'cover', panel: panel.id }),
        panel,
        outline,
        x,
        y,
      }))
    const both = [
      ...face(top, left - box.minX, -box.minY),
      ...(front
        ? face(
            front,
            boxing ? left + frontLeft(top.panel) - box.minX : left - boxOf(front.outline).minX,
            -boxOf(front.outline).maxY,
          )
        : []),
    ]
    left += box.maxX - box.minX + gap
    return both.filter((f) => lays.chosen!.pieces.some((p) => p.id === f.id))
  })
}
interface Face {
  readonly id: string
  readonly panel: Panel
  readonly outline: Outline
  readonly x: number
  readonly y: number
}
interface Shown {
  readonly panel: Panel
  readonly outline: Outline
}
/** A joined panel is seen in its pieces. */
function inPieces(cover: Cover, { panel, outline }: Shown): readonly Shown[] {
  const pieces = cover.panels.filter((p) => p.piece?.of === panel.id)
  if (pieces.length === 0) return [{ panel, outline }]
  const around = boxOf(outline)
  return pieces.flatMap((piece) => {
    if (outline === panel.finished) return [{ panel: piece, outline: piece.finished }]
    const seen = cover.patches.find((p) => p.panel === piece.id && isWithin(boxOf(p.outline), around))
    return seen ? [{ panel: piece, outline: seen.outline }] : []
  })
}
const isWithin = (a: Box, b: Box) =>
  a.minX > b.minX - 0.1 && a.maxX < b.maxX + 0.1 && a.minY > b.minY - 0.1 && a.maxY < b.maxY + 0.1
const shownFrom = (cover: Pick<Cover, 'panels'>, patch: Patch | null): Shown | null =>
  patch && { panel: cover.panels.find((p) => p.id === patch.panel)!, outline: patch.outline }
const frontLeft = (top: Panel) =>
  Math.min(...top.edges.flatMap((e, i) => (e.side === 'front' ? [top.finished[i]!.x] : [])))
function boxAround(faces: readonly Face[]) {
  const boxes = faces.map((f) => ({ f, b: boxOf(f.outline) }))
  return {
    minX: Math.min(...boxes.map(({ f, b }) => f.x + b.minX)),
    minY: Math.min(...boxes.map(({ f, b }) => f.y + b.minY)),
    maxX: Math.max(...boxes.map(({ f, b }) => f.x + b.maxX)),
    maxY: Math.max(...boxes.map(({ f, b }) => f.y + b.maxY)),
  }
}
const box = computed(() => boxAround(faces.value))
const scale = useScale(place, box, { left: 8, right: 8, top: 8, bottom: 8 })

/** Lays the cloth on a face as the lay cuts it: cloth to panel backwards through the placement, panel to pixels. */
function clothOn(f: Face): string | null {
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
