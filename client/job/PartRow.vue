<script setup lang="ts">
import { computed, ref } from 'vue'
import { MOST_PARTS } from '../../contract/index.ts'
import { partName, startPart, type Starter } from '../../core/job/index.ts'
import { boxOf, flatten } from '../../core/outline/index.ts'
import type { PartPlan } from '../../core/planned/index.ts'
import { useJob } from '../stores/job.ts'
import { svgPoints } from '../drawing/use-scale.ts'
import PartDialog from './PartDialog.vue'
import PartFromJob from './PartFromJob.vue'

/** What is ordered on one ticket, part by part: a small ticket each; the one in view is opened by a second press. */
const jobs = useJob()
const isAdding = ref(false)
const isOpen = ref(false)
const isFromJob = ref(false)
const THUMB_PX = 34
const COARSE_MM = 12

const parts = computed(() =>
  (jobs.plan?.parts ?? []).map((plan) => {
    const letter = plan.part.letter
    const doubts = jobs.plan!.warnings.filter((w) => w.part === letter && (w.level === 'stop' || w.level === 'warning'))
    return {
      letter,
      name: partName(plan.part),
      count: plan.cushions?.count ?? 0,
      points: thumbOf(plan),
      doubts: doubts.length,
      isStopped: plan.kind === 'unworkable',
    }
  }),
)

function thumbOf({ cushions }: PartPlan): string {
  const outline = cushions?.designs[0]?.solid.outline
  if (!outline) return ''
  const box = boxOf(outline)
  const k = (THUMB_PX - 4) / Math.max(box.maxX - box.minX, box.maxY - box.minY)
  return svgPoints(flatten(outline, COARSE_MM), {
    x: (mm) => 2 + (mm - box.minX) * k,
    y: (mm) => 2 + (box.maxY - mm) * k,
  })
}

function take(letter: string): void {
  if (letter === jobs.inView) isOpen.value = true
  else jobs.look(letter)
}

const WAYS: readonly { readonly as: Starter; readonly says: string }[] = [
  { as: 'backs', says: 'Backs, one for each seat' },
  { as: 'bolsters', says: 'Bolsters, as long as the seat is deep' },
  { as: 'seats', says: 'Another seat' },
  { as: 'copy', says: 'The same again' },
]
function add(as: Starter, says: string): void {
  isAdding.value = false
  const from = jobs.inView
  if (jobs.edit({ says, applyToJob: (job) => startPart(job, from, as) })) jobs.look(jobs.whole!.parts.at(-1)!.letter)
}
</script>

<template>
  <nav class="parts no-print" :class="{ single: parts.length === 1 }" aria-label="What is ordered">
    <template v-if="parts.length > 1">
      <button
        v-for="p in parts"
        :key="p.letter"
        type="button"
        class="part"
        :class="{ here: p.letter === jobs.inView, stopped: p.isStopped }"
        :aria-current="p.letter === jobs.inView"
        :title="p.letter === jobs.inView ? 'Name, place, order: open' : `Look at ${p.name}`"
        @click="take(p.letter)"
      >
        <svg :width="THUMB_PX" :height="THUMB_PX" aria-hidden="true"><polygon :points="p.points" /></svg>
        <span class="letter">{{ p.letter }}</span>
        <span class="name">{{ p.name }}</span>
        <span class="count"
          >{{ p.isStopped ? 'cannot be made yet' : `${p.count} ${p.count === 1 ? 'cushion' : 'cushions'}` }}
          <b v-if="p.doubts > 0" :aria-label="`${p.doubts} open warnings`">{{ p.doubts }} !</b></span
        >
      </button>
    </template>
    <div class="add">
      <button
        v-if="parts.length < MOST_PARTS"
        type="button"
        class="plain-button"
        :aria-expanded="isAdding"
        @click="isAdding = !isAdding"
      >
        {{ parts.length > 1 ? 'Add' : 'Add backs, bolsters, another seat …' }}
      </button>
      <div v-if="isAdding" class="ways" role="menu">
        <button v-for="w in WAYS" :key="w.as" type="button" role="menuitem" @click="add(w.as, w.says)">
          {{ w.says }}
        </button>
        <button type="button" role="menuitem" @click="((isAdding = false), (isFromJob = true))">
          As on an earlier job …
        </button>
      </div>
    </div>
    <PartDialog v-model="isOpen" />
    <PartFromJob v-model="isFromJob" />
  </nav>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding: 4px 14px;
  background: var(--row);
  border-bottom: 1px solid var(--bar-edge);
}

.parts.single {
  justify-content: flex-end;
  padding-block: 2px;
}

.part {
  display: grid;
  grid-template-columns: auto auto 1fr;
  column-gap: 8px;
  align-items: center;
  min-height: var(--target);
  padding: 2px 12px 6px 5px;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.part svg {
  grid-row: 1 / 3;
}

.part polygon {
  fill: var(--shape);
  stroke: var(--ink);
}

.part.here {
  box-shadow: inset 0 -4px 0 var(--chalk);
  border-color: var(--ink);
}

.part.stopped {
  border-color: var(--rust);
}

.letter {
  grid-row: 1 / 3;
  font-family: var(--slab);
  font-size: 22px;
}

.name {
  font-weight: 600;
  line-height: 1.15;
  align-self: end;
}

.count {
  font-size: 13.5px;
  line-height: 1.15;
  grid-column: 3;
  align-self: start;
}

.count b {
  margin-left: 6px;
  color: var(--rust);
}

.add {
  position: relative;
}

.ways {
  position: absolute;
  z-index: 20;
  top: 100%;
  display: flex;
  flex-direction: column;
  min-width: 270px;
  border: 1px solid var(--ink);
  background: var(--field);
  box-shadow: 0 3px 10px rgb(0 0 0 / 20%);
}

.single .ways {
  right: 0;
}

.ways button {
  min-height: var(--target);
  padding: 4px 12px;
  border: 0;
  border-bottom: 1px solid var(--paper-edge);
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

.ways button:hover,
.ways button:focus-visible {
  background: var(--chalk-wash);
}
</style>
