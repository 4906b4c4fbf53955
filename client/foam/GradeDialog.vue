<script setup lang="ts">
import { computed, ref } from 'vue'
import { Ageing, Exposure, FoamFamily, limits, PositiveMm, readWith, Grade, textLimits } from '../../contract/index.ts'
import {
  ageingOf,
  EXPOSURE_WORDS,
  FAMILIES,
  isLifeKnown,
  supportFactorOf,
  testForces,
} from '../../core/filling/index.ts'
import { idOfName } from '../../core/formats/index.ts'
import { shownAmount, unitName } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'
import AmountField from '../ui/AmountField.vue'
import EntryDialog from '../ui/EntryDialog.vue'
import LengthField from '../ui/LengthField.vue'
import { faultWords } from './fault-words.ts'
import { newSheet } from './new-entries.ts'
import { readThicknesses, writeThicknesses } from './thickness-list.ts'

/** One grade, as its data sheet has it; what the sheet leaves out stands in grey as usual for the family. */
const props = defineProps<{ grade: Grade; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const draft = ref<Grade>(JSON.parse(JSON.stringify(props.grade)))
const units = computed(() => shop.lists!.settings.units)
const thicknesses = ref(writeThicknesses(props.grade.thicknessesMm, units.value))

const finished = computed((): Grade => ({
  ...draft.value,
  id: props.isNew ? idOfName(draft.value.name) : draft.value.id,
  name: draft.value.name.trim(),
  thicknessesMm: readThicknesses(thicknesses.value, units.value, props.grade.thicknessesMm),
}))
const read = computed(() => readWith(Grade, finished.value))
const isTaken = computed(() => props.isNew && shop.lists!.grades.some((g) => g.id === finished.value.id))
const fault = computed(() =>
  isTaken.value
    ? 'The catalogue has a grade of this name already.'
    : read.value.ok
      ? ''
      : faultWords(read.value.faults[0]!),
)
/** How it ages, where its density or its own years are known. */
const usual = computed(() => (isLifeKnown(draft.value) ? ageingOf(draft.value) : null))
/** What would be worked with, where the forces given make sense. */
const filled = computed(() =>
  draft.value.at25N === null && draft.value.at40N === null ? null : testForces(draft.value),
)

function setFamily(family: Grade['family']): void {
  draft.value = { ...draft.value, family, exposures: [...FAMILIES[family].exposures] }
}
function setExposure(place: Exposure, on: boolean): void {
  draft.value = {
    ...draft.value,
    exposures: Exposure.options.filter((e) => (e === place ? on : draft.value.exposures.includes(e))),
  }
}
const setSheet = (i: number, with_: Partial<Grade['sheets'][number]>) =>
  (draft.value = { ...draft.value, sheets: draft.value.sheets.map((s, j) => (j === i ? { ...s, ...with_ } : s)) })

const keep = () => shop.keepGrades([finished.value], props.isNew ? [] : [props.grade])
</script>

<template>
  <EntryDialog
    :title="isNew ? 'New grade' : grade.name"
    width="660px"
    :fault="fault"
    :keep="keep"
    :drop="isNew ? null : { words: 'Out of the catalogue', run: () => shop.dropGrade(grade.id) }"
    @close="emit('close')"
  >
    <div class="field-row">
      <label for="grade-name">Name</label
      ><input id="grade-name" v-model="draft.name" class="text" v-bind="textLimits(Grade.shape.name)" />
    </div>
    <div class="field-row">
      <span class="label">Family</span>
      <ElSelect :model-value="draft.family" aria-label="Family" @update:model-value="setFamily"
        ><ElOption v-for="f in FoamFamily.options" :key="f" :value="f" :label="FAMILIES[f].name"
      /></ElSelect>
    </div>
    <div class="field-row">
      <span class="label">Density</span
      ><AmountField
        :model-value="draft.densityKgM3"
        kind="density"
        :lengths="units"
        v-bind="limits(Grade.shape.densityKgM3)"
        name="Density"
        optional
        placeholder="not known"
        @update:model-value="draft.densityKgM3 = $event"
      />
    </div>
    <div class="field-row">
      <span class="label">Force at 25, 40, 65 %</span>
      <div class="fields-in-line">
        <AmountField
          v-for="key in ['at25N', 'at40N', 'at65N'] as const"
          :key="key"
          v-model="draft[key]"
          kind="force"
          :lengths="units"
          v-bind="limits(Grade.shape[key])"
          :name="`Force at ${key.slice(2, 4)} %`"
          optional
          :placeholder="filled ? shownAmount(Math.round(filled[key]), 'force', units) : 'not known'"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Support factor</span
      ><AmountField
        v-model="draft.supportFactor"
        kind="plain"
        v-bind="limits(Grade.shape.supportFactor)"
        name="Support factor"
        optional
        :placeholder="filled ? supportFactorOf(draft).toFixed(2) : ''"
      />
    </div>
    <div class="field-row">
      <label for="grade-said">The supplier says</label
      ><input
        id="grade-said"
        v-model="draft.said"
        class="text"
        v-bind="textLimits(Grade.shape.said)"
        placeholder="in their own words"
      />
    </div>
    <div class="field-row">
      <span class="label">May be used</span>
      <div class="fields-in-line">
        <label v-for="e in Exposure.options" :key="e" class="tick"
          ><input
            type="checkbox"
            :checked="draft.exposures.includes(e)"
            @change="setExposure(e, ($event.target as HTMLInputElement).checked)"
          />
          {{ EXPOSURE_WORDS[e] }}</label
        >
      </div>
    </div>
    <div class="field-row">
      <span class="label">Loses, over years</span>
      <div class="fields-in-line">
        <AmountField
          :model-value="draft.ageing?.lossShare ?? null"
          kind="share"
          v-bind="limits(Ageing.shape.lossShare)"
          name="Firmness lost"
          optional
          :placeholder="usual ? String(Math.round(usual.lossShare * 100)) : 'not known'"
          @update:model-value="
            draft.ageing =
              $event === null ? null : { lossShare: $event, years: draft.ageing?.years ?? usual?.years ?? 5 }
          "
        />
        <AmountField
          :model-value="draft.ageing?.years ?? null"
          kind="plain"
          v-bind="limits(Ageing.shape.years)"
          name="Years"
          optional
          :placeholder="usual ? String(usual.years) : 'not known'"
          @update:model-value="
            draft.ageing =
              $event === null ? null : { years: $event, lossShare: draft.ageing?.lossShare ?? usual?.lossShare ?? 0.2 }
          "
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Combustion modified</span
      ><ElSwitch v-model="draft.combustionModified" aria-label="Combustion modified" />
    </div>
    <div class="field-row">
      <span class="label">Sheets sold</span>
      <div>
        <div v-for="(s, i) in draft.sheets" :key="i" class="fields-in-line">
          <LengthField
            :model-value="s.lengthMm"
            :unit="units"
            v-bind="limits(PositiveMm)"
            :name="`Length of sheet ${i + 1}`"
            @update:model-value="setSheet(i, { lengthMm: $event })"
          />
          x
          <LengthField
            :model-value="s.widthMm"
            :unit="units"
            v-bind="limits(PositiveMm)"
            :name="`Width of sheet ${i + 1}`"
            @update:model-value="setSheet(i, { widthMm: $event })"
          />
          <button type="button" class="plain-button" @click="draft.sheets = draft.sheets.filter((_, j) => j !== i)">
            Strike
          </button>
        </div>
        <button
          v-if="draft.sheets.length < 10"
          type="button"
          class="plain-button"
          @click="draft.sheets = [...draft.sheets, newSheet(units)]"
        >
          Another size
        </button>
      </div>
    </div>
    <div class="field-row">
      <label for="grade-thicknesses">Thicknesses, {{ unitName(units) }}</label
      ><input id="grade-thicknesses" v-model="thicknesses" class="text" />
    </div>
    <div class="field-row">
      <span class="label">Price</span
      ><AmountField
        :model-value="draft.pricePerM3"
        kind="volume-price"
        :lengths="units"
        v-bind="limits(Grade.shape.pricePerM3)"
        name="Price"
        @update:model-value="$event !== null && (draft.pricePerM3 = $event)"
      />
    </div>
  </EntryDialog>
</template>

<style scoped>
.field-row {
  grid-template-columns: 170px 1fr;
  margin-bottom: 6px;
}

.tick {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: var(--small-target);
}
</style>
