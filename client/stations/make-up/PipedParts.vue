<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { Piping } from '../../../contract/index.ts'
import type { LengthUnit } from '../../../core/units/index.ts'
import { SIDES } from '../../../core/seat/index.ts'
import LengthField from '../../ui/LengthField.vue'

/** Sides of a row that are piped from one place to another only. */
type Piped = Exclude<Piping, { kind: 'none' }>
type Part = NonNullable<Piped['parts']>[number]
const props = defineProps<{ piping: Piped; unit: LengthUnit }>()
const emit = defineEmits<{ set: [parts: Part[] | undefined, key: string | null] }>()

const parts = computed(() => props.piping.parts ?? [])
/** Piped sides that are piped all along. */
const free = computed(() =>
  (['top', 'bottom'] as const)
    .filter((row) => props.piping.rows === 'both' || props.piping.rows === row)
    .flatMap((row) => {
      const sides = row === 'bottom' ? (props.piping.bottomSides ?? props.piping.sides) : props.piping.sides
      return SIDES.filter((s) => sides.includes(s) && !parts.value.some((p) => p.row === row && p.side === s)).map(
        (side) => ({ key: `${row}/${side}`, row, side, label: phrase`${side}, ${row} row` }),
      )
    }),
)
const add = (key: string) => {
  const found = free.value.find((f) => f.key === key)
  if (found) emit('set', [...parts.value, { row: found.row, side: found.side, fromMm: 0, toMm: 200 }], null)
}
const change = (i: number, with_: Partial<Part>) => {
  const next = parts.value.map((p, k) => (k === i ? { ...p, ...with_ } : p))
  if (next[i]!.toMm > next[i]!.fromMm) emit('set', next, `piped.${i}`)
}
const drop = (i: number) => {
  const next = parts.value.filter((_, k) => k !== i)
  emit('set', next.length > 0 ? next : undefined, null)
}
</script>

<template>
  <div v-for="(p, i) in parts" :key="`${p.row}/${p.side}`" class="field-row">
    <span class="label">{{ p.side }}, {{ p.row }} row, from, to</span>
    <div class="fields-in-line">
      <LengthField
        :model-value="p.fromMm"
        :unit="unit"
        :name="`Piping of the ${p.side}, ${p.row} row, from`"
        :min="0"
        :max="Math.max(0, p.toMm - 1)"
        @update:model-value="(fromMm) => change(i, { fromMm })"
      />
      <LengthField
        :model-value="p.toMm"
        :unit="unit"
        :name="`Piping of the ${p.side}, ${p.row} row, to`"
        :min="p.fromMm + 1"
        :max="20000"
        @update:model-value="(toMm) => change(i, { toMm })"
      />
      <button type="button" class="plain-button" @click="drop(i)">All along</button>
    </div>
  </div>
  <div v-if="free.length > 0 && parts.length < 8" class="field-row">
    <span class="label">In part</span>
    <ElSelect
      :model-value="''"
      placeholder="all along; choose an edge"
      aria-label="Piped in part"
      @update:model-value="add"
    >
      <ElOption v-for="f in free" :key="f.key" :value="f.key" :label="f.label" />
    </ElSelect>
  </div>
</template>

<style scoped>
.label::first-letter {
  text-transform: uppercase;
}
</style>
