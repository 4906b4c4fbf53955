<script setup lang="ts">
import { computed } from 'vue'
import { setReadings, type DimensionName } from '../../../core/job/index.ts'
import { useJob } from '../../stores/job.ts'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import { dimensionFigure } from '../../../core/seat/index.ts'

const props = defineProps<{ name: DimensionName; label: string }>()
const jobs = useJob()
const readings = computed(() => jobs.job!.seat[props.name].readings)
const value = computed(() => dimensionFigure(jobs.job!.seat[props.name], `seat.${props.name}`, props.label, `measure.${props.name}`))

const set = (i: number, mm: number) => jobs.edit(setReadings(props.name, readings.value.map((r, j) => (j === i ? { ...r, mm } : r)), `${props.label} measured`), `reading-${props.name}-${i}`)
const add = () => jobs.edit(setReadings(props.name, [...readings.value, { mm: value.value.value }], `${props.label}: one more reading`))
const strike = (i: number) => jobs.edit(setReadings(props.name, readings.value.filter((_, j) => j !== i), `${props.label}: a reading struck out`))
</script>

<template>
  <div class="field-row" :data-field="`measure.${name}`">
    <span class="label">{{ label }}</span>
    <div class="readings">
      <div v-for="(r, i) in readings" :key="i" class="reading">
        <LengthField :model-value="r.mm" :unit="jobs.job!.units" :name="readings.length > 1 ? `${label}, reading ${i + 1}` : label" line="net" @update:model-value="set(i, $event)" />
        <button v-if="readings.length > 1" type="button" class="plain-button strike" :aria-label="`Strike out reading ${i + 1} of ${label}`" @click="strike(i)">strike out</button>
      </div>
      <div class="foot">
        <button type="button" class="plain-button" :disabled="readings.length >= 20" @click="add">Another reading</button>
        <span v-if="readings.length > 1">counts as <FigureValue :figure="value" bare /></span>
      </div>
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
  gap: 8px;
}

.foot {
  align-items: center;
}

.strike {
  font-size: 14px;
  padding: 4px 8px;
}
</style>
