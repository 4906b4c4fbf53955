<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import {
  Inside,
  limits,
  MOST_CUSHIONS_OF_ALL,
  type Footprint,
  type Seat,
  type Use,
  Job,
  textLimits,
} from '../../contract/index.ts'
import { USES } from '../../core/filling/index.ts'
import { newSeat } from '../../core/job/index.ts'
import { reshape } from '../../core/seat/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import CountField from '../ui/CountField.vue'
import LengthField from '../ui/LengthField.vue'
import ShapeChoice from '../ui/ShapeChoice.vue'
import { UNIT_CHOICES } from '../ui/unit-choices.ts'
import { useAttempt } from '../ui/use-attempt.ts'

/** What a ticket is begun with, asked field by field; everything can be changed afterwards. */
export interface Begun {
  readonly seat: Seat
  readonly units: LengthUnit
  readonly use: Use
  readonly clothId: string
  readonly customer: string
}

const props = defineProps<{ begin: (begun: Begun) => Promise<void> }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const { failed, attempt } = useAttempt()
const cloths = computed(() => shop.lists!.cloths)
const shape = ref<Footprint['kind']>('rectangle')
const kind = ref<'singles' | 'bench'>('singles')
const units = ref<LengthUnit>(shop.lists!.settings.units)
const size = reactive({ width: 600, depth: 500, thickness: 75 })
const count = ref(1)
const use = ref<Use>('bench')
const customer = ref('')
/** A plain cloth to begin with: nobody wastes cloth on stripes or pile that were not asked for. */
const plain = cloths.value.filter((c) => c.pattern.kind === 'plain')
const clothId = ref((plain.find((c) => c.nap === 'two-way') ?? plain[0] ?? cloths.value[0]!).id)

const KINDS = [
  { value: 'singles', label: 'so many seats of this size' },
  { value: 'bench', label: 'one bench of this size, divided' },
] as const
const THICKNESS = { name: 'thickness', label: 'Thickness of the cushion', is: 'thicknessMm' } as const
const SIZES = [
  { name: 'width', label: 'Width, along the front', is: 'widthMm' },
  { name: 'depth', label: 'Depth, front to back', is: 'depthMm' },
  THICKNESS,
] as const
const ROUND_SIZES = [{ name: 'width', label: 'Across', is: 'widthMm' }, THICKNESS] as const
const isRound = computed(() => shape.value === 'disc')

const begin = () =>
  attempt(async () => {
    const plain = newSeat(kind.value, size.width, isRound.value ? size.width : size.depth, size.thickness, count.value)
    await props.begin({
      seat: reshape(plain, shape.value),
      units: units.value,
      use: use.value,
      clothId: clothId.value,
      customer: customer.value.trim(),
    })
    emit('close')
  })
</script>

<template>
  <ElDialog :model-value="true" title="A new ticket" width="600px" top="3vh" @update:model-value="emit('close')">
    <div class="fields">
      <ShapeChoice v-model="shape" />
      <div class="field-row">
        <span class="label">Lengths in</span>
        <ChoiceButtons v-model="units" :choices="UNIT_CHOICES" name="Unit of lengths" />
      </div>
      <div v-for="s in isRound ? ROUND_SIZES : SIZES" :key="s.name" class="field-row">
        <span class="label">{{ s.label }}</span>
        <LengthField v-model="size[s.name]" :unit="units" :name="s.label" v-bind="limits(Inside.shape[s.is])" />
      </div>
      <div class="field-row">
        <span class="label">{{ isRound ? 'How many' : 'It is' }}</span>
        <div class="kind">
          <ChoiceButtons v-if="!isRound" v-model="kind" :choices="KINDS" name="Seats or a bench" />
          <CountField v-model="count" name="Cushions" :min="1" :max="MOST_CUSHIONS_OF_ALL" />
        </div>
      </div>
      <div class="field-row">
        <span class="label">Used as</span>
        <ElSelect v-model="use" aria-label="Use"
          ><ElOption v-for="(u, key) in USES" :key="key" :value="key" :label="u.name"
        /></ElSelect>
      </div>
      <div class="field-row">
        <span class="label">Cloth</span>
        <ElSelect v-model="clothId" filterable aria-label="Cloth"
          ><ElOption
            v-for="c in cloths"
            :key="c.id"
            :value="c.id"
            :label="`${c.name}, ${formatLengthWithUnit(c.widthMm, units)} wide, ${c.pattern.kind === 'plain' ? 'plain' : c.pattern.kind}`"
        /></ElSelect>
      </div>
      <div class="field-row">
        <label for="new-customer">Customer</label>
        <input
          id="new-customer"
          v-model="customer"
          class="text"
          v-bind="textLimits(Job.shape.customer)"
          autocomplete="off"
        />
      </div>
    </div>
    <p v-if="shape !== 'rectangle' && !isRound" class="quiet">
      Other readings of this shape are asked for on the next page, by its drawing.
    </p>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <template #footer>
      <button type="button" class="plain-button" @click="emit('close')">Leave it</button>
      <button type="button" class="plain-button main" @click="begin">Begin the ticket</button>
    </template>
  </ElDialog>
</template>

<style scoped>
.fields,
.kind {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.fields > * {
  width: 100%;
}

.field-row {
  grid-template-columns: 170px minmax(0, 1fr);
}

.failed {
  color: var(--rust);
}

@media (max-width: 860px) {
  .field-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
