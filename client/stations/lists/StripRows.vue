<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { stripGroups, type StripFault, type StripGroup, type StripPlan } from '../../../core/strips/index.ts'
import { formatLength, formatLengthWithUnit, trimmed } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import StripsWorker from '../../workers/strips.worker.ts?worker'
import { startTask, type Task } from '../../workers/task.ts'
import type { StripsMessage } from '../../workers/strips.worker.ts'

/** Strips cut in rows across the roll, as few as can be; for cutting them by themselves rather than within the lay. */
const jobs = useJob()
const shop = useShop()
const unit = computed(() => jobs.job!.units)
const groups = computed(() => (jobs.plan?.kind === 'worked' ? stripGroups(jobs.plan, shop.lists?.cloths ?? []) : []))
const solved = shallowRef<{
  readonly groups: readonly StripGroup[]
  readonly answers: readonly (StripPlan | StripFault)[]
} | null>(null)
const key = computed(() => JSON.stringify(groups.value))
const isLost = ref(false)
let task: Task | null = null
watch(
  key,
  () => {
    task?.stop()
    isLost.value = false
    if (groups.value.length === 0) return void (solved.value = null)
    const asked = groups.value
    task = startTask<readonly StripGroup[], StripsMessage>({
      worker: StripsWorker,
      ask: asked,
      onMessage: ({ answers }) => (solved.value = { groups: asked, answers }),
      onEnd: (ending) => (isLost.value = ending !== 'done'),
    })
  },
  { immediate: true },
)
onBeforeUnmount(() => task?.stop())
const shown = computed(() =>
  solved.value ? solved.value.groups.map((group, i) => ({ group, answer: solved.value!.answers[i]! })) : [],
)
const say = (mm: number) => formatLength(mm, unit.value)
const gap = (p: StripPlan) =>
  p.isProven
    ? 'proven: no fewer rows will do'
    : p.boundMm > 0
      ? phrase`at most ${trimmed((p.rollMm / p.boundMm - 1) * 100, 1)} % above the least possible`
      : ''
</script>

<template>
  <section v-if="groups.length > 0" class="strips">
    <h2>Strips, cut in rows across the roll</h2>
    <p class="quiet">For strips cut by themselves; within the lay they lie where they fit.</p>
    <p v-if="isLost" role="alert" class="fault">The rows could not be worked out: reload the page.</p>
    <p v-else-if="!solved" class="quiet">Working out the rows …</p>
    <div v-for="{ group, answer } in shown" :key="`${group.clothId} ${group.heightMm}`">
      <h3>{{ group.clothName }}, {{ formatLengthWithUnit(group.heightMm, unit) }} high</h3>
      <p v-if="'code' in answer" role="alert" class="fault">
        {{ answer.strip }} is {{ formatLengthWithUnit(answer.lengthMm, unit) }} long; a row gives
        {{ formatLengthWithUnit(answer.longestMm, unit) }}. Cut it along the roll, or in one piece per side.
      </p>
      <template v-else>
        <p>
          {{ answer.rows.reduce((n, r) => n + r.times, 0) }} rows, {{ formatLengthWithUnit(answer.rollMm, unit) }} of
          the roll; <b :class="{ right: answer.isProven }">{{ gap(answer) }}</b>
        </p>
        <div v-for="(r, i) in answer.rows" :key="i" class="row">
          <span class="times" :title="r.stock.name">{{ r.times }} x</span>
          <div class="bar">
            <template v-for="p in r.pieces" :key="p.strip.id">
              <span v-for="n in p.count" :key="n" class="piece" :style="{ flexGrow: p.strip.lengthMm }"
                >{{ p.strip.name }} {{ say(p.strip.lengthMm) }}</span
              >
            </template>
            <span v-if="r.stock.costMm === 0" class="left" :style="{ flexGrow: 1 }">from {{ r.stock.name }}</span>
            <span
              v-if="r.leftMm > 1"
              class="left"
              :style="{ flexGrow: r.leftMm }"
              :title="`${say(r.leftMm)} left over`"
              >{{ say(r.leftMm) }}</span
            >
          </div>
        </div>
      </template>
    </div>
  </section>
</template>

<style scoped>
h3 {
  font-size: 16px;
  margin: 10px 0 2px;
}

p {
  margin: 2px 0 6px;
}

.right {
  color: var(--moss);
}

.fault {
  color: var(--rust);
}

.row {
  display: grid;
  grid-template-columns: 40px 1fr;
  align-items: center;
  margin-bottom: 4px;
}

.bar {
  display: flex;
  border: 1px solid var(--ink);
}

.piece,
.left {
  flex-basis: 0;
  min-width: 0;
  padding: 3px 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: 13px;
  background: var(--field);
  border-right: 1px solid var(--ink);
}

.left {
  color: var(--ink-soft);
  background: none;
  border-right: 0;
}
</style>
