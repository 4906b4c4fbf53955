<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { limits, UsedMm, type FollowUpKind, Fitting, textLimits } from '../../../contract/index.ts'
import { dayName, dayNumber } from '../../../core/calendar/index.ts'
import { held } from '../../../core/keyed/index.ts'
import type { WorkedPlan } from '../../../core/planned/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { FOLLOW_UP_WORDS } from '../../job/follow-up-words.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import DayField from '../../ui/DayField.vue'
import LengthField from '../../ui/LengthField.vue'
import { dayOf } from '../../ui/today.ts'
import { setFitting } from './fit-edits.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** Of the whole job: cloth really used, the lesson, what is to be done later. */
const props = defineProps<{ plan: WorkedPlan }>()
const jobs = useJob()
const lays = useLay()
const unit = computed(() => jobs.job!.units)
const fitting = computed(() => jobs.job!.fitting)
const cloths = computed(() =>
  props.plan.cloth.lays.map(({ cloth }, i) => ({
    cloth,
    laidMm: lays.taken[i] ? lays.taken[i].laidMm * lays.taken[i].share : null,
    usedMm: held(fitting.value.clothUsedMm, cloth.id) ?? null,
  })),
)
const setUsed = (id: string, mm: number | null) =>
  jobs.edit(
    setFitting('Cloth used', (f) => ({
      clothUsedMm: Object.fromEntries(
        Object.entries({ ...f.clothUsedMm, [id]: mm }).filter((e): e is [string, number] => e[1] !== null),
      ),
    })),
    `used-${id}`,
  )
const setLesson = (event: Event) =>
  jobs.edit(setFitting('Lesson', () => ({ lesson: (event.target as HTMLTextAreaElement).value })))

const DAYS: Record<FollowUpKind, number> = { turn: 90, air: 30, wash: 365, foam: 365 }
/** Foam lasts as long as its verdict says. */
const daysUntil = (kind: FollowUpKind): number => {
  const [first] = props.plan.designs
  return kind === 'foam' && first?.filling.kind === 'foam'
    ? Math.round(365 * (first.filling.verdict?.support.years ?? 0))
    : DAYS[kind]
}
const add = (kind: FollowUpKind) =>
  jobs.edit(
    setFitting(phrase`Reminder: ${FOLLOW_UP_WORDS[kind]}`, (f) => ({
      followUps: [...f.followUps, { kind, day: dayName(dayNumber(dayOf(new Date())) + daysUntil(kind)), doneOn: null }],
    })),
  )
const change = (i: number, patch: object) =>
  jobs.edit(
    setFitting('Reminder', (f) => ({ followUps: f.followUps.map((u, n) => (n === i ? { ...u, ...patch } : u)) })),
  )
const drop = (i: number) =>
  jobs.edit(setFitting('Reminder taken out', (f) => ({ followUps: f.followUps.filter((_, n) => n !== i) })))
</script>

<template>
  <h3>Cloth really used</h3>
  <div v-for="c in cloths" :key="c.cloth.id" class="field-row">
    <span class="label">{{ c.cloth.name }}</span>
    <div class="fields-in-line">
      <template v-if="c.usedMm !== null"
        ><LengthField
          :model-value="c.usedMm"
          :unit="unit"
          v-bind="limits(UsedMm)"
          :name="`${c.cloth.name}, used`"
          @update:model-value="setUsed(c.cloth.id, $event)"
        /><button type="button" class="plain-button" @click="setUsed(c.cloth.id, null)">Not known</button></template
      >
      <button v-else type="button" class="plain-button" @click="setUsed(c.cloth.id, c.laidMm ?? 1000)">Note it</button>
      <span class="quiet">{{ c.laidMm === null ? 'not laid' : `laid ${formatLengthWithUnit(c.laidMm, unit)}` }}</span>
    </div>
  </div>
  <label class="lesson"
    ><h3>To do differently next time</h3>
    <textarea
      v-typed="fitting.lesson"
      rows="3"
      v-bind="textLimits(Fitting.shape.lesson)"
      placeholder="Comes back on the next job with the same cloth, make-up or seat."
      @change="setLesson"
    />
  </label>
  <h3>Reminders</h3>
  <div class="fields-in-line">
    <button v-for="(label, kind) in FOLLOW_UP_WORDS" :key="kind" type="button" class="plain-button" @click="add(kind)">
      {{ label }}
    </button>
  </div>
  <div v-for="(u, i) in fitting.followUps" :key="i" class="fields-in-line">
    <label class="tick"
      ><input
        type="checkbox"
        :checked="u.doneOn !== null"
        @change="change(i, { doneOn: u.doneOn === null ? dayOf(new Date()) : null })"
      />
      {{ FOLLOW_UP_WORDS[u.kind] }}</label
    >
    <DayField
      :model-value="u.day"
      :name="`Day to ${FOLLOW_UP_WORDS[u.kind]}`"
      @update:model-value="(day) => day && change(i, { day })"
    />
    <button type="button" class="plain-button" @click="drop(i)">Take out</button>
  </div>
</template>

<style scoped>
textarea {
  width: 100%;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  padding: 6px 9px;
  font: inherit;
}
</style>
