<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { setReadings } from '../../../core/job/index.ts'
import { dimensionFigure, slotOf } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import { useTape } from '../../stores/tape.ts'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import { dayOf } from '../../ui/today.ts'

/** The readings of one dimension of the seat. A reading from the tape goes to the field that has the focus. */
const props = defineProps<{ slotName: string; label: string }>()
const jobs = useJob()
const tape = useTape()
const dimension = computed(() => slotOf(jobs.job!.seat, props.slotName)?.dimension ?? { readings: [{ mm: 1 }] })
const readings = computed(() => dimension.value.readings)
const value = computed(() =>
  dimensionFigure(dimension.value, `seat.${props.slotName}`, props.label, `measure.${props.slotName}`),
)

const set = (i: number, mm: number) =>
  jobs.edit(
    setReadings(
      props.slotName,
      readings.value.map((r, j) => (j === i ? { mm, on: dayOf(new Date()) } : r)),
      phrase`${props.label} measured`,
    ),
    `reading-${props.slotName}-${i}`,
  )
const add = () =>
  jobs.edit(
    setReadings(
      props.slotName,
      [...readings.value, { mm: value.value.value, on: dayOf(new Date()) }],
      phrase`${props.label}: one more reading`,
    ),
  )
const strike = (i: number) =>
  jobs.edit(
    setReadings(
      props.slotName,
      readings.value.filter((_, j) => j !== i),
      phrase`${props.label}: a reading struck out`,
    ),
  )
const listen = () => tape.aim({ slot: props.slotName, label: props.label })
</script>

<template>
  <div class="field-row" :data-field="`measure.${slotName}`" @focusin="listen">
    <span class="label" :class="{ aimed: tape.isConnected && tape.target?.slot === slotName }">{{ label }}</span>
    <div class="readings">
      <div v-for="(r, i) in readings" :key="i" class="reading">
        <LengthField
          :model-value="r.mm"
          :unit="jobs.job!.units"
          :name="readings.length > 1 ? `${label}, reading ${i + 1}` : label"
          line="net"
          @update:model-value="set(i, $event)"
        />
        <span v-if="r.on && readings.length > 1" class="day" :title="`Measured on ${r.on}`">{{ r.on.slice(5) }}</span>
        <button
          v-if="readings.length > 1"
          type="button"
          class="plain-button small"
          :aria-label="`Strike out reading ${i + 1} of ${label}`"
          @click="strike(i)"
        >
          strike out
        </button>
        <button
          v-if="i === readings.length - 1"
          type="button"
          class="plain-button small"
          :disabled="readings.length >= 20"
          :aria-label="`Another reading of ${label}`"
          title="Another reading"
          @click="add"
        >
          + reading
        </button>
      </div>
      <div v-if="readings.length > 1" class="foot">counts as <FigureValue :figure="value" bare /></div>
    </div>
  </div>
</template>

<style scoped>
.readings {
  display: flex;
  flex-direction: column;
  gap: 4px;
}

.reading,
.foot {
  display: flex;
  align-items: flex-start;
  flex-wrap: wrap;
  gap: 8px;
}

.foot {
  align-items: center;
}

.small {
  font-size: 14px;
  padding: 4px 8px;
}

.day {
  align-self: center;
  font-size: 13px;
  color: var(--ink-soft);
}

.aimed {
  box-shadow: inset 3px 0 0 var(--chalk);
  padding-left: 8px;
}
</style>
