<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { dayName, dayNumber, MINUTES_A_DAY, weekdayOf, type PlannedJob } from '../../core/calendar/index.ts'
import type { Calendar } from '../../contract/index.ts'
import { shortMonth } from '../ui/manner.ts'
import { useEnlarged } from '../drawing/use-enlarged.ts'
import ZoomButtons from '../drawing/ZoomButtons.vue'
import { followPointer } from '../ui/pointer-drag.ts'

/**
 * The weeks from today on: a line for each job, a bar for each stretch of work; due days as flags. Lines are dragged to
 * another day.
 */
const props = defineProps<{
  planned: readonly PlannedJob[]
  calendar: Calendar
  weekBegins: number
  today: string
  days: number
}>()
const emit = defineEmits<{ move: [id: string, day: string]; open: [id: string] }>()
const DAY_PX = 34
const LINE = 34
const HEAD = 44
const NAME = 96
const place = ref<HTMLElement | null>(null)
const zoom = useEnlarged(place)
/** Pixels to a day, as it is enlarged. */
const dayPx = computed(() => DAY_PX * zoom.factor.value)
const COLOURS = {
  foam: '#c3a45f',
  cloth: '#8aa9bf',
  sewing: '#2a638e',
  closing: '#6d8450',
  fitting: '#22282c',
} as const
const PARTS = { foam: 'foam', cloth: 'cloth', sewing: 'sewing', closing: 'filling', fitting: 'fitting' } as const
const first = computed(() => dayNumber(props.today))
const columns = computed(() =>
  Array.from({ length: props.days }, (_, i) => {
    const number = first.value + i
    const name = dayName(number)
    const shut =
      props.calendar.holidays.includes(name) ||
      Object.values(props.calendar.hours).every((week) => week[weekdayOf(number)] === 0)
    return {
      i,
      name,
      shut,
      beginsWeek: weekdayOf(number) === props.weekBegins,
      label: String(Number(name.slice(8))),
      month: shortMonth(name),
    }
  }),
)
const x = (minutes: number) => NAME + (minutes / MINUTES_A_DAY - first.value) * dayPx.value
/** A day of work fills its column: working hours are drawn wide, nights are not. */
function across(minutes: number): number {
  const day = Math.floor(minutes / MINUTES_A_DAY)
  const hour = (minutes - day * MINUTES_A_DAY) / 60 - props.calendar.startsAt
  const longest = Math.max(...Object.values(props.calendar.hours).flat(), 1)
  return x(day * MINUTES_A_DAY) + Math.min(1, Math.max(0, hour / longest)) * dayPx.value
}
const lines = computed(() =>
  props.planned.map((job, n) => ({
    job,
    y: HEAD + n * LINE,
    bars: job.tasks.flatMap((t) =>
      t.stretches.map((s) => ({
        part: t.part,
        x: across(s.from),
        w: Math.max(2, across(s.to - 0.01) - across(s.from)),
        says: phrase`${PARTS[t.part]}, ${t.resource}`,
      })),
    ),
    flag: job.dueOn ? x((dayNumber(job.dueOn) + 1) * MINUTES_A_DAY) : null,
  })),
)
const width = computed(() => NAME + props.days * dayPx.value)
const height = computed(() => HEAD + props.planned.length * LINE + 6)
const dragged = ref<{ readonly id: string; readonly byDays: number } | null>(null)
const begin = (event: PointerEvent, job: PlannedJob) =>
  followPointer(event, {
    onMove: (_event, byPx) => (dragged.value = { id: job.id, byDays: Math.round(byPx.x / dayPx.value) }),
    onEnd: (how) => {
      const byDays = dragged.value?.byDays ?? 0
      dragged.value = null
      if (how === 'clicked') return emit('open', job.id)
      if (how === 'dropped' && byDays !== 0) moveBy(job, byDays)
    },
  })
const moveBy = (job: PlannedJob, days: number) =>
  emit('move', job.id, dayName(Math.max(first.value, (job.startsOn ? dayNumber(job.startsOn) : first.value) + days)))
const key = (event: KeyboardEvent, job: PlannedJob) => {
  const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  if (by === 0) return
  event.preventDefault()
  moveBy(job, by)
}
</script>

<template>
  <div ref="place" class="weeks-place">
    <svg :width="width" :height="height" role="group" aria-label="The weeks ahead">
      <g v-for="c in columns" :key="c.i">
        <rect
          :x="NAME + c.i * dayPx"
          :y="HEAD - 22"
          :width="dayPx"
          :height="height - HEAD + 22"
          :class="{ shut: c.shut }"
          class="day"
        />
        <text v-if="c.beginsWeek || c.i === 0" :x="NAME + c.i * dayPx + 3" y="16" class="caption">
          {{ c.month }} {{ c.label }}
        </text>
        <text :x="NAME + c.i * dayPx + dayPx / 2" :y="HEAD - 7" text-anchor="middle" class="number">{{ c.label }}</text>
      </g>
      <g
        v-for="l in lines"
        :key="l.job.id"
        :transform="dragged?.id === l.job.id ? `translate(${dragged.byDays * dayPx} 0)` : ''"
        class="job"
        tabindex="0"
        role="button"
        :aria-label="`${l.job.ticket}: ${l.job.startsOn ?? 'not begun'} to ${l.job.finishesOn ?? 'no end'}${l.job.lateDays > 0 ? `, ${l.job.lateDays} days late` : ''}. Arrow keys move it.`"
        @pointerdown="begin($event, l.job)"
        @keydown="key($event, l.job)"
        @keydown.enter="emit('open', l.job.id)"
      >
        <rect x="0" :y="l.y" :width="width" :height="LINE" class="line" />
        <text x="8" :y="l.y + 22" :class="{ late: l.job.lateDays > 0 }" class="ticket">{{ l.job.ticket }}</text>
        <rect
          v-for="(b, i) in l.bars"
          :key="i"
          :x="b.x"
          :y="l.y + 6"
          :width="b.w"
          :height="LINE - 12"
          :fill="COLOURS[b.part]"
        >
          <title>{{ b.says }}</title>
        </rect>
        <g v-if="l.flag !== null && l.flag <= width">
          <line
            :x1="l.flag"
            :x2="l.flag"
            :y1="l.y + 2"
            :y2="l.y + LINE - 2"
            class="flag"
            :class="{ late: l.job.lateDays > 0 }"
          />
          <path :d="`M${l.flag} ${l.y + 2} l9 4 l-9 4 z`" class="cloth" :class="{ late: l.job.lateDays > 0 }" />
        </g>
      </g>
    </svg>
  </div>
  <p class="key">
    <ZoomButtons :zoom="zoom" :of="place" name="the weeks" class="in-line" />
    <span v-for="(label, part) in PARTS" :key="part"><i :style="{ background: COLOURS[part] }" /> {{ label }}</span
    ><span><i class="due" /> due day</span>
  </p>
</template>

<style scoped>
.weeks-place {
  overflow: auto;
}

.day {
  fill: transparent;
  stroke: var(--board-line);
}

.day.shut {
  fill: #ece2cd;
}

.line {
  fill: transparent;
}

.job {
  cursor: grab;
  touch-action: none;
}

.job:hover .line,
.job:focus-visible .line {
  fill: rgb(42 99 142 / 8%);
}

.ticket {
  font-family: var(--slab);
  font-weight: 600;
}

text.late {
  fill: var(--rust);
}

.number {
  font-size: 12px;
  fill: var(--ink-soft);
}

.flag {
  stroke: var(--moss);
  stroke-width: 2;
}

.cloth {
  fill: var(--moss);
}

.flag.late {
  stroke: var(--rust);
}

.cloth.late {
  fill: var(--rust);
}

.key {
  display: flex;
  gap: 16px;
  margin: 6px 8px;
  font-size: 14px;
}

i {
  display: inline-block;
  width: 14px;
  height: 10px;
}

.due {
  background: var(--moss);
  clip-path: polygon(0 0, 100% 50%, 0 100%);
}
</style>
