<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { KERF_MM, leftBeside, sheetsIn, type FoamPart, type GroupBuy } from '../../../../core/filling/index.ts'
import { sheetSize } from '../../../../core/lists/index.ts'
import { at, boxOf, mirrored, moved, turnedBy, type Outline } from '../../../../core/outline/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import { formatLengthWithUnit } from '../../../../core/units/index.ts'
import { useEnlarged } from '../../../drawing/use-enlarged.ts'
import { svgPath } from '../../../drawing/use-scale.ts'
import ZoomButtons from '../../../drawing/ZoomButtons.vue'
import { useNest } from '../../../stores/nest.ts'
import { foamColour } from '../foam-colour.ts'
import { useFoam } from '../use-foam.ts'

/** Every sheet and piece of stock with the parts that come out of it, true outlines, all to one scale. */
const { jobs } = useFoam()
const nest = useNest()
let stopLooking: () => void
onMounted(() => (stopLooking = nest.look()))
onBeforeUnmount(() => stopLooking())

const place = ref<HTMLElement | null>(null)
const zoom = useEnlarged(place)
const { width: placeWidth } = useElementSize(place, { width: 700, height: 560 })
const width = computed(() => placeWidth.value * zoom.factor.value)
const cutting = computed(() => (jobs.plan as WorkedPlan).cutting!)
const trim = computed(() => jobs.job!.cutting.trimMm)

interface Laid {
  readonly d: string
  readonly label: string
  readonly x: number
  readonly y: number
  readonly isTurnedOver: boolean
}
interface Board {
  readonly title: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly trimMm: number
  /** What is left of a piece of stock, in words. */
  readonly left: string
  readonly fill: string
  readonly cutOuts: readonly {
    readonly xMm: number
    readonly yMm: number
    readonly lengthMm: number
    readonly widthMm: number
  }[]
  readonly parts: readonly { readonly part: FoamPart; readonly outline: Outline; readonly flip: boolean }[]
}

/** Sheets lie on their long side: the lay's y is their length, its x their width. */
const isOrdered = computed(() => jobs.job!.cutting.supply === 'cut-to-size')
const boards = computed(() =>
  (isOrdered.value ? [] : cutting.value.groups).flatMap((g) =>
    nest.lays.some((n) => n.group === g.group.id) ? nestedBoards(g) : rowBoard(g),
  ),
)

function nestedBoards({ group }: GroupBuy): Board[] {
  return nest.lays
    .filter((n) => n.group === group.id)
    .flatMap((n) => {
      const stock = n.stock === null ? null : jobs.job!.cutting.stock.find((s) => s.id === n.stock)
      const inset = stock ? 0 : trim.value
      return Array.from({ length: sheetsIn(n) }, (_, i): Board => {
        const parts = n.lay.placements
          .filter((p) => (p.sheet ?? 1) === i + 1)
          .map((p) => {
            const part = group.parts.find((q) => q.id === p.id)!
            const posed = moved(
              turnedBy(p.flip ? mirrored(part.outline) : part.outline, (p.turn * Math.PI) / 180),
              at(p.x, p.y),
            )
            // A quarter turn to the right brings the roll's y along the sheet.
            const lying = turnedBy(posed, -Math.PI / 2)
            return { part, outline: moved(lying, at(inset, n.sheet.widthMm - inset)), flip: p.flip }
          })
        return {
          title: stock
            ? phrase`${stock.name}, ${group.grade.name}, ${sheetSize(n.sheet, group.thicknessMm, jobs.job!.units)}`
            : phrase`${group.grade.name}, sheet ${i + 1} of ${sheetsIn(n)}, ${sheetSize(n.sheet, group.thicknessMm, jobs.job!.units)}`,
          ...n.sheet,
          trimMm: inset,
          left: stock && parts.length > 0 ? leftWords(parts, n.sheet) : '',
          fill: foamColour(group.grade),
          cutOuts: (stock?.cutOuts ?? []).map((c) => ({ ...c, yMm: n.sheet.widthMm - c.yMm - c.widthMm })),
          parts,
        }
      })
    })
}

/** The slice that is left of a piece of stock, kerf after kerf taken off. */
function leftWords(parts: Board['parts'], piece: { readonly lengthMm: number; readonly widthMm: number }): string {
  const { units, cutting: ways } = jobs.job!
  const left = leftBeside(
    parts.map((p) => p.outline),
    piece,
    KERF_MM[ways.tool],
  )
  const say = (mm: number) => formatLengthWithUnit(mm, units)
  return phrase`left over: ${say(left.widthMm)} of the width, ${say(left.lengthMm)} of the length`
}

function rowBoard({ group }: GroupBuy): Board[] {
  const { rows } = group
  if (!rows) return []
  const parts = rows.places
    .filter((p) => p.sheet === 0)
    .map((p) => {
      const part = group.parts.find((q) => q.id === p.part)!
      const posed = p.turned ? turnedBy(part.outline, Math.PI / 2) : part.outline
      const box = boxOf(posed)
      return { part, outline: moved(posed, at(p.x - box.minX, p.y - box.minY)), flip: false }
    })
  return [
    {
      title: phrase`${group.grade.name}, first of ${rows.sheets.value}, straight rows`,
      ...rows.sheet,
      trimMm: trim.value,
      left: '',
      fill: foamColour(group.grade),
      cutOuts: [],
      parts,
    },
  ]
}

const GAP = 26
const HEAD = 46
const drawn = computed(() => {
  const perRow = boards.value.length > 1 ? 2 : 1
  const longest = Math.max(1, ...boards.value.map((b) => b.lengthMm))
  const k = (width.value - 32 - GAP * (perRow - 1)) / perRow / longest
  let y = 40
  const sheets = boards.value.map((board, i) => {
    const row = Math.floor(i / perRow)
    if (i > 0 && i % perRow === 0)
      y += Math.max(...boards.value.slice((row - 1) * perRow, row * perRow).map((b) => b.widthMm)) * k + HEAD + 12
    const [left, top] = [16 + (i % perRow) * (longest * k + GAP), y + HEAD]
    const scale = { k, x: (mm: number) => left + mm * k, y: (mm: number) => top + (board.widthMm - mm) * k }
    const parts = board.parts.map(({ part, outline, flip }): Laid => {
      const box = boxOf(outline)
      return {
        d: svgPath(outline, scale),
        label: part.id,
        x: scale.x((box.minX + box.maxX) / 2),
        y: scale.y((box.minY + box.maxY) / 2),
        isTurnedOver: flip,
      }
    })
    return { board, left, top, k, parts }
  })
  const last = boards.value.slice(Math.floor((boards.value.length - 1) / perRow) * perRow)
  return { sheets, height: y + HEAD + Math.max(0, ...last.map((b) => b.widthMm)) * k + 20 }
})
</script>

<template>
  <div class="nest-place">
    <div ref="place" class="nest" tabindex="0" role="region" aria-label="Foam to be cut">
      <svg :width="width" :height="drawn.height" role="img" aria-label="Parts on sheets of foam, to scale">
        <text x="16" y="26" class="caption">
          {{
            isOrdered
              ? 'Ordered cut to size: nothing to nest'
              : boards.length === 0
                ? 'Nothing to cut from sheets'
                : `Parts on their sheets${nest.running ? ', searching …' : nest.isKept ? ', kept' : ''}`
          }}
        </text>
        <g v-for="(s, i) in drawn.sheets" :key="i">
          <text :x="s.left" :y="s.top - 8">{{ s.board.title }}</text>
          <text v-if="s.board.left" :x="s.left" :y="s.top + s.board.widthMm * s.k + 17">{{ s.board.left }}</text>
          <rect
            :x="s.left"
            :y="s.top"
            :width="s.board.lengthMm * s.k"
            :height="s.board.widthMm * s.k"
            class="sheetful"
          />
          <rect
            v-if="s.board.trimMm > 0"
            :x="s.left + s.board.trimMm * s.k"
            :y="s.top + s.board.trimMm * s.k"
            :width="(s.board.lengthMm - 2 * s.board.trimMm) * s.k"
            :height="(s.board.widthMm - 2 * s.board.trimMm) * s.k"
            class="trim"
          />
          <rect
            v-for="(c, j) in s.board.cutOuts"
            :key="`c${j}`"
            :x="s.left + c.xMm * s.k"
            :y="s.top + (s.board.widthMm - c.yMm - c.widthMm) * s.k"
            :width="c.lengthMm * s.k"
            :height="c.widthMm * s.k"
            class="missing"
          />
          <g v-for="(p, j) in s.parts" :key="j">
            <path :d="p.d" :style="{ fill: s.board.fill }" class="part" />
            <text :x="p.x" :y="p.y + 5" text-anchor="middle" class="label">
              {{ p.label }}{{ p.isTurnedOver ? ' over' : '' }}
            </text>
          </g>
        </g>
      </svg>
    </div>
    <ZoomButtons v-if="boards.length > 0" :zoom="zoom" :of="place" name="the sheets" />
  </div>
</template>

<style scoped>
.nest-place {
  position: relative;
  flex: 1;
  min-height: 0;
  display: flex;
}

.nest {
  flex: 1;
  overflow: auto;
}

text {
  font-size: 14px;
}

.label {
  font-weight: 600;
  font-size: 15px;
}

.sheetful {
  fill: #f8f3e4;
  stroke: var(--ink);
}

.trim {
  fill: none;
  stroke: var(--field-edge);
  stroke-dasharray: 3 4;
}

.missing {
  fill: var(--floor);
  stroke: var(--ink);
}

.part {
  stroke: #6d5a2a;
}
</style>
