<script setup lang="ts">
import { computed } from 'vue'
import { type Cloth, limitsOfKind, Supply } from '../../contract/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import LengthField from '../ui/LengthField.vue'
import { startSupply } from './new-cloth.ts'

const lengthLimits = limitsOfKind(Supply, 'length', 'lengthMm')
/** Whether a cloth is bought, a length in hand, or a remnant with its corners. */
const { cloth, unit } = defineProps<{ cloth: Cloth; unit: LengthUnit }>()
const emit = defineEmits<{ change: [supply: Supply] }>()
const corners = computed(() => (cloth.supply.kind === 'remnant' ? cloth.supply.outline : []))
const setCorners = (outline: [number, number][]) => emit('change', { kind: 'remnant', outline })
const setCorner = (i: number, axis: 0 | 1, mm: number) =>
  setCorners(corners.value.map((c, j): [number, number] => (j !== i ? c : axis === 0 ? [mm, c[1]] : [c[0], mm])))
/** A new corner half way to the next. */
function addCorner(): void {
  const [last, first] = [corners.value.at(-1)!, corners.value[0]!]
  setCorners([...corners.value, [(last[0] + first[0]) / 2, (last[1] + first[1]) / 2]])
}

const SUPPLIES = [
  { value: 'to-buy', label: 'To buy' },
  { value: 'length', label: 'A length' },
  { value: 'remnant', label: 'A remnant' },
] as const
</script>

<template>
  <div class="field-row">
    <span class="label">Comes from</span
    ><ChoiceButtons
      :model-value="cloth.supply.kind"
      :choices="SUPPLIES"
      name="Comes from"
      @update:model-value="emit('change', startSupply($event, cloth.widthMm) as Supply)"
    />
  </div>
  <div v-if="cloth.supply.kind === 'length'" class="field-row">
    <span class="label">Length in hand</span
    ><LengthField
      :model-value="cloth.supply.lengthMm"
      :unit="unit"
      v-bind="lengthLimits"
      name="Length in hand"
      @update:model-value="emit('change', { kind: 'length', lengthMm: $event })"
    />
  </div>
  <template v-if="cloth.supply.kind === 'remnant'">
    <p class="quiet">Its corners in order, each from the left edge and from the starting end:</p>
    <div v-for="(c, i) in corners" :key="i" class="fields-in-line narrow-fields">
      <LengthField
        :model-value="c[0]"
        :unit="unit"
        :name="`Corner ${i + 1} from the left`"
        :min="0"
        :max="cloth.widthMm"
        @update:model-value="setCorner(i, 0, $event)"
      />
      <LengthField
        :model-value="c[1]"
        :unit="unit"
        :name="`Corner ${i + 1} from the start`"
        :min="0"
        @update:model-value="setCorner(i, 1, $event)"
      />
      <button
        type="button"
        class="plain-button"
        :disabled="corners.length <= 3"
        @click="setCorners(corners.filter((_, j) => j !== i))"
      >
        Strike
      </button>
    </div>
    <button type="button" class="plain-button" @click="addCorner">Another corner</button>
  </template>
</template>

<style scoped>
.field-row {
  grid-template-columns: 140px 1fr;
  margin-bottom: 6px;
}
</style>
