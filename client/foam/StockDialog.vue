<script setup lang="ts">
import { computed, ref } from 'vue'
import { limits, readWith, FoamStock, textLimits } from '../../contract/index.ts'
import { useShop } from '../stores/shop.ts'
import CountField from '../ui/CountField.vue'
import EntryDialog from '../ui/EntryDialog.vue'
import LengthField from '../ui/LengthField.vue'
import { faultWords } from './fault-words.ts'

/** A piece on the rack: its usable rectangle, and what is missing from it. */
const props = defineProps<{ piece: FoamStock; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const draft = ref<FoamStock>(JSON.parse(JSON.stringify(props.piece)))
const units = computed(() => shop.lists!.settings.units)
const read = computed(() => readWith(FoamStock, draft.value))
const fault = computed(() => (read.value.ok ? '' : faultWords(read.value.faults[0]!)))
const k = computed(() => Math.min(300 / draft.value.lengthMm, 130 / draft.value.widthMm))
const KINDS = FoamStock.shape.kind.options
const SIDES = [
  ['xMm', 'from the left'],
  ['yMm', 'from the front'],
  ['lengthMm', 'long'],
  ['widthMm', 'wide'],
] as const

const setCutOut = (i: number, key: (typeof SIDES)[number][0], mm: number) =>
  (draft.value = { ...draft.value, cutOuts: draft.value.cutOuts.map((c, j) => (j === i ? { ...c, [key]: mm } : c)) })
const addCutOut = () =>
  (draft.value = {
    ...draft.value,
    cutOuts: [
      ...draft.value.cutOuts,
      { xMm: 0, yMm: 0, lengthMm: Math.round(draft.value.lengthMm / 4), widthMm: Math.round(draft.value.widthMm / 4) },
    ],
  })
</script>

<template>
  <EntryDialog
    :title="isNew ? 'New piece on the rack' : piece.name"
    width="720px"
    :fault="fault"
    :keep="() => shop.keepFoamStock([draft], isNew ? [] : [piece])"
    :drop="isNew ? null : { words: 'Used up', run: () => shop.dropFoamStock(piece.id) }"
    @close="emit('close')"
  >
    <div class="field-row">
      <label for="stock-name">Name</label
      ><input id="stock-name" v-model="draft.name" class="text" v-bind="textLimits(FoamStock.shape.name)" />
    </div>
    <div class="field-row">
      <span class="label">Kind, grade</span>
      <div class="fields-in-line">
        <ElSelect v-model="draft.kind" aria-label="Kind of piece" class="pick"
          ><ElOption v-for="kind in KINDS" :key="kind" :value="kind" :label="kind"
        /></ElSelect>
        <ElSelect v-model="draft.gradeId" aria-label="Grade of the piece" filterable class="pick"
          ><ElOption v-for="g in shop.lists!.grades" :key="g.id" :value="g.id" :label="g.name"
        /></ElSelect>
      </div>
    </div>
    <div class="field-row">
      <span class="label">Usable</span>
      <div class="fields-in-line">
        <LengthField v-model="draft.lengthMm" :unit="units" v-bind="limits(FoamStock.shape.lengthMm)" name="Length" /> x
        <LengthField v-model="draft.widthMm" :unit="units" v-bind="limits(FoamStock.shape.widthMm)" name="Width" /> x
        <LengthField
          v-model="draft.thicknessMm"
          :unit="units"
          v-bind="limits(FoamStock.shape.thicknessMm)"
          name="Thickness"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Count</span
      ><CountField v-model="draft.count" v-bind="limits(FoamStock.shape.count)" name="Count" />
    </div>
    <div class="field-row">
      <span class="label">Missing from it</span>
      <div>
        <div v-for="(c, i) in draft.cutOuts" :key="i" class="cut-out">
          <template v-for="[key, says] in SIDES" :key="key"
            ><span class="quiet">{{ says }}</span
            ><LengthField
              :model-value="c[key]"
              :unit="units"
              :name="`Cut-out ${i + 1} ${says}`"
              :min="key === 'xMm' || key === 'yMm' ? 0 : 1"
              @update:model-value="setCutOut(i, key, $event)"
          /></template>
          <button type="button" class="plain-button" @click="draft.cutOuts = draft.cutOuts.filter((_, j) => j !== i)">
            Strike
          </button>
        </div>
        <button v-if="draft.cutOuts.length < 20" type="button" class="plain-button" @click="addCutOut">
          A cut-out
        </button>
        <svg
          :width="draft.lengthMm * k + 2"
          :height="draft.widthMm * k + 2"
          role="img"
          aria-label="The piece, to scale"
          class="piece"
        >
          <rect x="1" y="1" :width="draft.lengthMm * k" :height="draft.widthMm * k" class="foam" />
          <rect
            v-for="(c, i) in draft.cutOuts"
            :key="i"
            :x="1 + c.xMm * k"
            :y="1 + (draft.widthMm - c.yMm - c.widthMm) * k"
            :width="c.lengthMm * k"
            :height="c.widthMm * k"
            class="missing"
          />
        </svg>
      </div>
    </div>
  </EntryDialog>
</template>

<style scoped>
.field-row {
  grid-template-columns: 130px 1fr;
  margin-bottom: 6px;
}

/* Labels stand before their fields, two pairs to a line. */
.cut-out {
  display: grid;
  grid-template-columns: auto 1fr auto 1fr;
  gap: 4px 10px;
  align-items: center;
  margin-bottom: 10px;
}

.cut-out button {
  justify-self: start;
}

.pick {
  width: 190px;
}

.piece {
  display: block;
  margin-top: 8px;
}

.foam {
  fill: #efdca6;
  stroke: #6d5a2a;
}

.missing {
  fill: var(--paper);
  stroke: #6d5a2a;
}
</style>
