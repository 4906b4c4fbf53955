<script setup lang="ts">
import { computed } from 'vue'
import { limits, InsertFilling, textLimits } from '../../../../contract/index.ts'
import type { InsertPlan } from '../../../../core/filling/index.ts'
import { formatLengthWithUnit, trimmed } from '../../../../core/units/index.ts'
import { useDesign } from '../../../stores/design.ts'
import { useJob } from '../../../stores/job.ts'
import AmountField from '../../../ui/AmountField.vue'
import SizeFields from '../../../ui/SizeFields.vue'
import { vTyped } from '../../../ui/v-typed.ts'

/** A ready-made insert as it is sold, and how much larger it is than its cover, each way. */
const props = defineProps<{ insert: InsertFilling }>()
const jobs = useJob()
const design = useDesign()
const plan = computed(() => (design.chosen?.filling.kind === 'insert' ? (design.chosen.filling as InsertPlan) : null))
const FIELDS = { widthMm: 'flatWidthMm', depthMm: 'flatDepthMm', thicknessMm: 'filledMm' } as const
const set = (change: Partial<InsertFilling>, key: string) =>
  jobs.edit(
    {
      says: 'The insert',
      apply: (job) => (job.filling.kind === 'insert' ? { ...job, filling: { ...job.filling, ...change } } : job),
    },
    key,
  )
/** How much larger than the cover: what is missing shows as negative. */
const ease = computed(() =>
  (plan.value?.directions ?? []).map(({ way, overFilling }) => ({
    way,
    mm: -overFilling.by.value,
    share: -overFilling.share.value,
  })),
)
const sizes = computed(() => ({
  widthMm: props.insert.flatWidthMm,
  depthMm: props.insert.flatDepthMm,
  thicknessMm: props.insert.filledMm,
}))
</script>

<template>
  <div class="field-row" data-field="filling.insert">
    <label for="insert-name">Sold as</label>
    <input
      id="insert-name"
      class="text"
      v-bind="textLimits(InsertFilling.shape.name)"
      v-typed="insert.name"
      @change="set({ name: ($event.target as HTMLInputElement).value }, 'insert-name')"
    />
  </div>
  <div class="field-row">
    <span class="label">Flat, and filled thickness</span>
    <SizeFields
      :sizes="sizes"
      :usual="{ widthMm: insert.flatWidthMm, depthMm: insert.flatDepthMm }"
      :unit="jobs.job!.units"
      name="Insert"
      @change="(size, mm) => set({ [FIELDS[size]]: mm }, `insert-${size}`)"
    />
  </div>
  <div class="field-row">
    <span class="label">Mass of one</span>
    <AmountField
      :model-value="insert.massKg"
      kind="mass"
      :lengths="jobs.job!.units"
      v-bind="limits(InsertFilling.shape.massKg)"
      name="Mass of one insert"
      optional
      placeholder="not known"
      @update:model-value="set({ massKg: $event }, 'insert-mass')"
    />
  </div>
  <div class="field-row">
    <span class="label">Price of one</span>
    <AmountField
      :model-value="insert.price"
      kind="plain"
      v-bind="limits(InsertFilling.shape.price)"
      name="Price of one insert"
      @update:model-value="$event !== null && set({ price: $event }, 'insert-price')"
    />
  </div>
  <table v-if="ease.length > 0" class="results">
    <tbody>
      <tr v-for="e in ease" :key="e.way">
        <th scope="row">Larger than the cover, {{ e.way }}</th>
        <td>
          {{ e.mm < 0 ? '−' : '' }}{{ formatLengthWithUnit(Math.abs(e.mm), jobs.job!.units) }} ({{
            trimmed(e.share * 100, 1)
          }}
          %)<template v-if="e.mm < -0.05">: it lies loose</template>
        </td>
      </tr>
    </tbody>
  </table>
</template>
