<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { JobSummary } from '../../contract/index.ts'
import { dayOf } from '../ui/today.ts'
import { shortDay } from '../ui/manner.ts'

/** One job on its nail: number, name, the seat from above in its cloth, where it stands, what is to be looked at. */
const props = defineProps<{ job: JobSummary }>()
defineEmits<{ copy: []; archive: [] }>()
const card = computed(() => props.job.card)
const shape = computed(() => {
  const { outline } = card.value
  const points = Array.from({ length: outline.length / 2 }, (_, i) => [outline[2 * i]!, -outline[2 * i + 1]!] as const)
  if (points.length === 0) return null
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  const [w, h] = [Math.max(...xs) - x, Math.max(...ys) - y]
  const edge = Math.max(w, h) * 0.03
  return {
    points: points.map((p) => p.join(',')).join(' '),
    box: `${x - edge} ${y - edge} ${w + 2 * edge} ${h + 2 * edge}`,
  }
})
const isLate = computed(
  () =>
    card.value.dueOn !== null &&
    card.value.dueOn < dayOf(new Date()) &&
    card.value.stage !== 'fitted' &&
    card.value.stage !== 'billed',
)
const due = computed(() =>
  card.value.dueOn ? phrase`${isLate.value ? 'was due' : 'due'} ${shortDay(card.value.dueOn)}` : '',
)
const station = computed(
  () => ({ asked: 'measure', ordered: 'measure', making: 'make', fitted: 'fit', billed: 'bill' })[card.value.stage],
)
</script>

<template>
  <article class="ticket">
    <RouterLink
      :to="`/jobs/${job.id}/${station}`"
      class="whole"
      :aria-label="`${job.ticket} ${job.title} ${job.customer}`"
    />
    <span class="number">{{ job.ticket }}</span>
    <span class="stage" :class="card.stage"
      >{{ card.archivedOn ? 'put away' : card.stage
      }}{{
        card.stage === 'making' && card.steps.of > 0 ? ` ${Math.round((100 * card.steps.done) / card.steps.of)} %` : ''
      }}</span
    >
    <span class="name">{{ job.title }}</span>
    <span class="quiet"
      >{{ job.customer || 'no customer noted' }}{{ card.furniture ? `, ${card.furniture}` : '' }}</span
    >
    <svg v-if="shape" :viewBox="shape.box" class="seat" aria-hidden="true">
      <polygon :points="shape.points" :fill="card.cloth.colour" vector-effect="non-scaling-stroke" />
    </svg>
    <span class="foot">
      <span v-if="job.revision === 0" class="late">in this browser alone: it goes to the shop when that answers</span>
      <span v-if="card.worked.kind === 'whole'"
        >{{ card.cushions }} of {{ card.cloth.name
        }}{{ card.parts.length > 1 ? `: ${card.parts.join(', ').toLowerCase()}` : '' }}</span
      >
      <span v-else-if="card.worked.kind === 'unreadable'" class="late">cannot be read: {{ card.worked.why }}</span>
      <span v-else>{{
        card.worked.kind === 'under-way' ? 'being worked out …' : 'takes too long to work out here'
      }}</span>
      <span v-if="due" :class="{ late: isLate }">{{ due }}</span>
      <span v-if="card.doubts > 0" class="late">{{ card.doubts }} to look at</span>
    </span>
    <span class="hands no-print">
      <button type="button" class="plain-button" :aria-label="`Copy ${job.ticket}`" @click="$emit('copy')">Copy</button>
      <button
        type="button"
        class="plain-button"
        :aria-label="`${card.archivedOn ? 'Take out' : 'Put away'} ${job.ticket}`"
        @click="$emit('archive')"
      >
        {{ card.archivedOn ? 'Take out' : 'Put away' }}
      </button>
    </span>
  </article>
</template>

<style scoped>
.ticket {
  position: relative;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 1px 8px;
  align-content: start;
  padding: 28px 14px 10px;
  min-height: 212px;
  background: var(--paper);
  border: 1px solid var(--paper-edge);
  content-visibility: auto;
  contain-intrinsic-size: 230px 212px;
}

.ticket::before {
  content: '';
  position: absolute;
  top: 8px;
  left: 50%;
  width: 12px;
  height: 12px;
  margin-left: -6px;
  border-radius: 50%;
  background: radial-gradient(circle at 40% 35%, #8f8f8a, #3a3f41);
  box-shadow: 0 0 0 4px var(--floor);
}

.ticket:hover {
  border-color: var(--chalk);
}

.whole {
  position: absolute;
  inset: 0;
}

.number {
  font-family: var(--slab);
  color: var(--chalk);
  font-weight: 600;
}

.stage {
  font-size: 14px;
  color: var(--ink-soft);
}

.stage.making {
  color: var(--chalk);
  font-weight: 600;
}

.stage.fitted,
.stage.billed {
  color: var(--moss);
}

.name,
.quiet,
.seat,
.foot,
.hands {
  grid-column: 1 / -1;
}

.name {
  font-family: var(--slab);
  font-size: 19px;
  font-weight: 600;
  line-height: 1.15;
  overflow-wrap: anywhere;
}

.quiet {
  font-size: 14px;
}

.seat {
  height: 54px;
  width: 100%;
  margin: 5px 0;
}

.seat polygon {
  stroke: var(--ink);
  stroke-width: 1.3;
}

.foot {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  font-size: 14px;
}

.late {
  color: var(--rust);
  font-weight: 600;
}

.hands {
  position: relative;
  display: flex;
  gap: 6px;
  margin-top: 6px;
}

.hands .plain-button {
  min-height: var(--small-target);
  padding: 2px 9px;
  font-size: 14px;
}
</style>
