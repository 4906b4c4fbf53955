<script setup lang="ts">
import { limits, Band, textLimits } from '../../contract/index.ts'
import { bandsWidth, mirrorAxes } from '../../core/pattern/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../core/units/index.ts'
import LengthField from '../ui/LengthField.vue'
import { vTyped } from '../ui/v-typed.ts'

/** One repeat, band by band. */
const props = defineProps<{ modelValue: readonly Band[]; unit: LengthUnit; name: string }>()
const emit = defineEmits<{ 'update:modelValue': [bands: Band[]] }>()
const set = (i: number, change: Partial<Band>) =>
  emit(
    'update:modelValue',
    props.modelValue.map((b, j) => (j === i ? { ...b, ...change } : b)),
  )
const add = () =>
  emit('update:modelValue', [...props.modelValue, { ...props.modelValue.at(-2)!, name: props.modelValue.at(-2)!.name }])
const strike = (i: number) =>
  emit(
    'update:modelValue',
    props.modelValue.filter((_, j) => j !== i),
  )
</script>

<template>
  <fieldset>
    <legend class="quiet">
      {{ name }}: repeats every {{ formatLengthWithUnit(bandsWidth(modelValue), unit) }},
      {{ mirrorAxes(modelValue).length > 0 ? 'looks the same mirrored' : 'has a left and a right' }}
    </legend>
    <div v-for="(b, i) in modelValue" :key="i" class="band">
      <input
        type="color"
        :value="b.colour"
        :aria-label="`${name} ${i + 1} colour`"
        @input="set(i, { colour: ($event.target as HTMLInputElement).value })"
      />
      <input
        class="text"
        v-typed="b.name"
        v-bind="textLimits(Band.shape.name)"
        :aria-label="`${name} ${i + 1} name`"
        @change="set(i, { name: ($event.target as HTMLInputElement).value })"
      />
      <LengthField
        :model-value="b.widthMm"
        :unit="unit"
        v-bind="limits(Band.shape.widthMm)"
        :name="`${name} ${i + 1} width`"
        @update:model-value="set(i, { widthMm: $event })"
      />
      <button type="button" class="plain-button" :disabled="modelValue.length <= 2" @click="strike(i)">Strike</button>
    </div>
    <button type="button" class="plain-button" :disabled="modelValue.length >= 60" @click="add">Another band</button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0 0 8px;
  padding: 0;
}

.band {
  display: grid;
  grid-template-columns: 40px 130px 1fr auto;
  gap: 8px;
  align-items: start;
  margin: 4px 0;
}

.band input[type='color'] {
  width: 40px;
  height: 32px;
  padding: 0;
  border: 1px solid var(--ink-soft);
}
</style>
