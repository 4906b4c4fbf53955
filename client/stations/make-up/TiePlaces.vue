<script setup lang="ts">
import { phrase } from '../../../core/language/index.ts'
import { limitsOfKind, type Side, TiePlace } from '../../../contract/index.ts'
import { SIDES } from '../../../core/seat/index.ts'
import type { LengthUnit } from '../../../core/units/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import LengthField from '../../ui/LengthField.vue'

/** Where ties are caught: any number of places, each with its count. */
const { places, unit } = defineProps<{ places: readonly TiePlace[]; unit: LengthUnit }>()
const emit = defineEmits<{ change: [places: TiePlace[], key: string | null] }>()

type Kind = 'foot' | 'top' | Exclude<TiePlace['at'], 'edge'>
const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'foot', label: 'Foot of a side' },
  { value: 'top', label: 'Top of a side' },
  { value: 'face', label: 'Face of a side' },
  { value: 'corners', label: 'Corners of a side' },
  { value: 'hinge', label: 'Hinge' },
  { value: 'underside', label: 'Underside, in a grid' },
]
const AT = SIDES.map((value) => ({ value, label: value[0]!.toUpperCase() + value.slice(1) }))
const MOST_PLACES = 12
const kindOf = (p: TiePlace): Kind => (p.at === 'edge' ? p.row : p.at)

/** Another kind of place, with what the one before it said where that has a meaning. */
function placeOf(kind: Kind, before: TiePlace): TiePlace {
  const side = 'side' in before ? before.side : 'back'
  const count = 'count' in before ? before.count : 2
  switch (kind) {
    case 'foot':
    case 'top':
      return { at: 'edge', row: kind, side, count }
    case 'face':
      return { at: 'face', side, count, upMm: 40 }
    case 'corners':
      return { at: 'corners', side, upMm: 40 }
    case 'hinge':
      return { at: 'hinge', count: 2 }
    case 'underside':
      return { at: 'underside', rows: 2, across: 2, marginMm: 80 }
    default:
      return kind satisfies never
  }
}
const change = (i: number, place: TiePlace, key: string | null = null) =>
  emit(
    'change',
    places.map((p, k) => (k === i ? place : p)),
    key && `ties.${i}.${key}`,
  )
const add = () => emit('change', [...places, { at: 'edge', row: 'foot', side: 'left', count: 2 }], null)
const name = (i: number, what: string) => (places.length > 1 ? phrase`${what}, place ${i + 1}` : what)
</script>

<template>
  <div v-for="(p, i) in places" :key="i" class="place" role="group" :aria-label="name(i, 'Ties')">
    <div class="field-row">
      <span class="label">At</span>
      <div class="line">
        <ElSelect
          :model-value="kindOf(p)"
          :aria-label="name(i, 'Ties at')"
          @update:model-value="(kind: Kind) => change(i, placeOf(kind, p))"
        >
          <ElOption v-for="k in KINDS" :key="k.value" :value="k.value" :label="k.label" />
        </ElSelect>
        <button
          v-if="places.length > 1"
          type="button"
          class="plain-button"
          @click="
            emit(
              'change',
              places.filter((_, k) => k !== i),
              null,
            )
          "
        >
          Take out
        </button>
      </div>
    </div>
    <div v-if="'side' in p" class="field-row">
      <span class="label">Side</span>
      <ChoiceButtons
        :model-value="p.side"
        :choices="AT"
        :name="name(i, 'Ties at the')"
        @update:model-value="(side) => change(i, { ...p, side: side as Side })"
      />
    </div>
    <div v-if="'count' in p" class="field-row">
      <span class="label">How many</span>
      <CountField
        :model-value="p.count"
        v-bind="limitsOfKind(TiePlace, p.at, 'count')"
        :name="name(i, 'How many ties')"
        @update:model-value="(count) => change(i, { ...p, count }, 'count')"
      />
    </div>
    <div v-if="'upMm' in p" class="field-row">
      <span class="label">Up from the foot</span>
      <LengthField
        :model-value="p.upMm"
        :unit="unit"
        v-bind="limitsOfKind(TiePlace, p.at, 'upMm')"
        :name="name(i, 'Ties up from the foot')"
        @update:model-value="(upMm) => change(i, { ...p, upMm }, 'up')"
      />
    </div>
    <template v-if="p.at === 'underside'">
      <div class="field-row">
        <span class="label">Rows, across</span>
        <div class="line">
          <CountField
            :model-value="p.rows"
            v-bind="limitsOfKind(TiePlace, p.at, 'rows')"
            :name="name(i, 'Rows of ties')"
            @update:model-value="(rows) => change(i, { ...p, rows }, 'rows')"
          /><CountField
            :model-value="p.across"
            v-bind="limitsOfKind(TiePlace, p.at, 'across')"
            :name="name(i, 'Ties across')"
            @update:model-value="(across) => change(i, { ...p, across }, 'across')"
          />
        </div>
      </div>
      <div class="field-row">
        <span class="label">From the edges</span>
        <LengthField
          :model-value="p.marginMm"
          :unit="unit"
          v-bind="limitsOfKind(TiePlace, p.at, 'marginMm')"
          :name="name(i, 'Ties from the edges')"
          @update:model-value="(marginMm) => change(i, { ...p, marginMm }, 'margin')"
        />
      </div>
    </template>
  </div>
  <div v-if="places.length < MOST_PLACES" class="field-row">
    <span class="label" />
    <button type="button" class="plain-button" @click="add">Ties at another place</button>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  gap: 6px;
  padding-bottom: 6px;
}

.line {
  display: flex;
  gap: 8px;
  align-items: center;
}

.line .el-select {
  flex: 1;
  min-width: 0;
}
</style>
