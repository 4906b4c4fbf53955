<script setup lang="ts">
import { computed, ref } from 'vue'
import { AllowanceMm, Flaw, limits, readWith, Cloth, textLimits } from '../../contract/index.ts'
import { clothFaults } from '../../core/cloth/index.ts'
import { useShop } from '../stores/shop.ts'
import AmountField from '../ui/AmountField.vue'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import EntryDialog from '../ui/EntryDialog.vue'
import LengthField from '../ui/LengthField.vue'
import ClothSwatch from './ClothSwatch.vue'
import { clothFaultWords } from './fault-words.ts'
import PatternFields from './PatternFields.vue'
import SupplyFields from './SupplyFields.vue'

/** Everything the shop knows of a cloth; the swatch shows it as it is entered, and a click on it marks a flaw. */
const props = defineProps<{ cloth: Cloth; isNew: boolean }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const draft = ref<Cloth>(JSON.parse(JSON.stringify(props.cloth)))
const marking = ref(false)
const units = computed(() => shop.lists!.settings.units)
const fault = computed(() => {
  const read = readWith(Cloth, draft.value)
  const first = read.ok ? clothFaults(read.value)[0] : read.faults[0]
  return first ? clothFaultWords(first) : ''
})
const FLAW_MM = 40

const set = (change: Partial<Cloth>) => (draft.value = { ...draft.value, ...change })
const setFlaw = (i: number, change: Partial<Flaw>) =>
  set({ flaws: draft.value.flaws.map((f, j) => (j === i ? { ...f, ...change } : f)) })
function markFlaw(acrossMm: number, alongMm: number): void {
  if (!marking.value) return
  const at = (mm: number, most: number) => Math.round(Math.max(0, Math.min(most - FLAW_MM, mm - FLAW_MM / 2)))
  set({
    flaws: [
      ...draft.value.flaws,
      { xMm: at(acrossMm, draft.value.widthMm), yMm: at(alongMm, Infinity), widthMm: FLAW_MM, lengthMm: FLAW_MM },
    ],
  })
}
const NAPS = [
  { value: 'two-way', label: 'either way up' },
  { value: 'one-way', label: 'one way only: pile or motif' },
] as const
const MARKINGS = [
  { value: 'notches', label: 'notches' },
  { value: 'tacks', label: 'tacks: deep pile, dark' },
] as const
const BACKS = { 'back not known': undefined, 'back coated': true, 'back bare': false } as const
const backOf = ({ coatedBack }: Cloth) =>
  coatedBack === undefined ? 'back not known' : coatedBack ? 'back coated' : 'back bare'
</script>

<template>
  <EntryDialog
    :title="isNew ? 'New cloth' : cloth.name"
    width="1080px"
    :fault="fault"
    :keep="() => shop.keepCloths([draft], isNew ? [] : [cloth])"
    :drop="isNew ? null : { words: 'No longer kept', run: () => shop.dropCloth(cloth.id) }"
    @close="emit('close')"
  >
    <div class="columns">
      <div class="fields">
        <div class="field-row">
          <label for="cloth-name">Name</label
          ><input
            id="cloth-name"
            class="text"
            v-bind="textLimits(Cloth.shape.name)"
            :value="draft.name"
            @input="set({ name: ($event.target as HTMLInputElement).value })"
          />
        </div>
        <div class="field-row">
          <span class="label">Width, selvedges</span>
          <div class="fields-in-line narrow-fields">
            <LengthField
              :model-value="draft.widthMm"
              :unit="units"
              v-bind="limits(Cloth.shape.widthMm)"
              name="Width"
              @update:model-value="set({ widthMm: $event })"
            />
            <LengthField
              :model-value="draft.selvedgeMm[0]"
              :unit="units"
              v-bind="limits(AllowanceMm)"
              name="Left selvedge"
              @update:model-value="set({ selvedgeMm: [$event, draft.selvedgeMm[1]] })"
            />
            <LengthField
              :model-value="draft.selvedgeMm[1]"
              :unit="units"
              v-bind="limits(AllowanceMm)"
              name="Right selvedge"
              @update:model-value="set({ selvedgeMm: [draft.selvedgeMm[0], $event] })"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Ground</span
          ><input
            type="color"
            :value="draft.ground"
            aria-label="Ground colour"
            class="colour"
            @input="set({ ground: ($event.target as HTMLInputElement).value })"
          />
        </div>
        <PatternFields :pattern="draft.pattern" :unit="units" @change="(pattern) => set({ pattern })" />
        <div class="field-row">
          <span class="label">Lies</span
          ><ChoiceButtons
            :model-value="draft.nap"
            :choices="NAPS"
            name="Direction of the cloth"
            @update:model-value="set({ nap: $event })"
          />
        </div>
        <div class="field-row">
          <span class="label">Price, buying step</span>
          <div class="fields-in-line narrow-fields">
            <AmountField
              :model-value="draft.pricePerMetre"
              kind="metre-price"
              :lengths="units"
              v-bind="limits(Cloth.shape.pricePerMetre)"
              name="Price"
              @update:model-value="set({ pricePerMetre: $event ?? 0 })"
            /><LengthField
              :model-value="draft.buyingStepMm"
              :unit="units"
              v-bind="limits(Cloth.shape.buyingStepMm)"
              name="Buying step"
              @update:model-value="set({ buyingStepMm: $event })"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Fibre, use</span>
          <div class="fields-in-line narrow-fields">
            <ElSelect
              :model-value="draft.fibre"
              aria-label="Fibre"
              class="pick"
              @update:model-value="(fibre: Cloth['fibre']) => set({ fibre })"
              ><ElOption v-for="f in Cloth.shape.fibre.options" :key="f" :value="f" :label="f"
            /></ElSelect>
            <ElSelect
              :model-value="draft.use"
              aria-label="Use"
              class="pick"
              @update:model-value="(use: Cloth['use']) => set({ use })"
              ><ElOption v-for="u in Cloth.shape.use.options" :key="u" :value="u" :label="u"
            /></ElSelect>
            <ElSelect
              :model-value="backOf(draft)"
              aria-label="Its back"
              class="pick"
              @update:model-value="(back: keyof typeof BACKS) => set({ coatedBack: BACKS[back] })"
              ><ElOption v-for="b in Object.keys(BACKS)" :key="b" :value="b" :label="b"
            /></ElSelect>
            <label class="tick"
              ><input
                type="checkbox"
                :checked="draft.reversible"
                @change="set({ reversible: ($event.target as HTMLInputElement).checked })"
              />
              both sides may show</label
            >
          </div>
        </div>
        <div class="field-row">
          <span class="label">Thickness, weight</span>
          <div class="fields-in-line narrow-fields">
            <AmountField
              :model-value="draft.thicknessMm"
              kind="thin"
              :lengths="units"
              v-bind="limits(Cloth.shape.thicknessMm)"
              name="Thickness of the cloth"
              @update:model-value="$event !== null && set({ thicknessMm: $event })"
            /><AmountField
              :model-value="draft.massGM2"
              kind="surface-mass"
              :lengths="units"
              v-bind="limits(Cloth.shape.massGM2)"
              name="Weight of the cloth"
              @update:model-value="set({ massGM2: $event ?? 0 })"
            />
            <ElSelect
              :model-value="draft.marking"
              aria-label="Marked by"
              class="marks"
              @update:model-value="(marking: Cloth['marking']) => set({ marking })"
              ><ElOption v-for="m in MARKINGS" :key="m.value" :value="m.value" :label="m.label"
            /></ElSelect>
          </div>
        </div>
        <div class="field-row">
          <span class="label">Gives, across / along</span>
          <div class="fields-in-line narrow-fields">
            <AmountField
              :model-value="draft.stretch.across"
              kind="share"
              v-bind="limits(Cloth.shape.stretch.shape.across)"
              name="Stretch across"
              @update:model-value="set({ stretch: { ...draft.stretch, across: $event ?? 0 } })"
            /><AmountField
              :model-value="draft.stretch.along"
              kind="share"
              v-bind="limits(Cloth.shape.stretch.shape.along)"
              name="Stretch along"
              @update:model-value="set({ stretch: { ...draft.stretch, along: $event ?? 0 } })"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Shrinks, across / along</span>
          <div class="fields-in-line narrow-fields">
            <AmountField
              :model-value="draft.shrink.across"
              kind="share"
              v-bind="limits(Cloth.shape.shrink.shape.across)"
              name="Shrink across"
              @update:model-value="set({ shrink: { ...draft.shrink, across: $event ?? 0 } })"
            /><AmountField
              :model-value="draft.shrink.along"
              kind="share"
              v-bind="limits(Cloth.shape.shrink.shape.along)"
              name="Shrink along"
              @update:model-value="set({ shrink: { ...draft.shrink, along: $event ?? 0 } })"
            /><label class="tick"
              ><input
                type="checkbox"
                :checked="draft.washFirst"
                @change="set({ washFirst: ($event.target as HTMLInputElement).checked })"
              />
              washed before it is cut</label
            >
          </div>
        </div>
      </div>
      <div class="seen">
        <ClothSwatch :cloth="draft" :height="250" :clickable="marking" @at="markFlaw" />
        <SupplyFields :cloth="draft" :unit="units" @change="(supply) => set({ supply })" />
        <div class="field-row">
          <span class="label">Flaws</span
          ><button
            type="button"
            class="plain-button"
            :class="{ main: marking }"
            :aria-pressed="marking"
            @click="marking = !marking"
          >
            {{ marking ? 'Click on the cloth where it is bad' : 'Mark flaws' }}
          </button>
        </div>
        <div v-for="(f, i) in draft.flaws" :key="i" class="fields-in-line narrow-fields">
          <LengthField
            :model-value="f.xMm"
            :unit="units"
            v-bind="limits(Flaw.shape.xMm)"
            :name="`Flaw ${i + 1} from the left`"
            @update:model-value="setFlaw(i, { xMm: $event })"
          />
          <LengthField
            :model-value="f.yMm"
            :unit="units"
            v-bind="limits(Flaw.shape.yMm)"
            :name="`Flaw ${i + 1} from the start`"
            @update:model-value="setFlaw(i, { yMm: $event })"
          />
          <LengthField
            :model-value="f.widthMm"
            :unit="units"
            :name="`Flaw ${i + 1} wide`"
            @update:model-value="setFlaw(i, { widthMm: $event })"
          />
          <LengthField
            :model-value="f.lengthMm"
            :unit="units"
            :name="`Flaw ${i + 1} long`"
            @update:model-value="setFlaw(i, { lengthMm: $event })"
          />
          <button type="button" class="plain-button" @click="set({ flaws: draft.flaws.filter((_, j) => j !== i) })">
            Strike
          </button>
        </div>
      </div>
    </div>
  </EntryDialog>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
  max-height: 74vh;
  overflow: auto;
}

.field-row {
  grid-template-columns: 140px 1fr;
  margin-bottom: 6px;
}

.pick {
  width: 120px;
}

.marks {
  width: 190px;
}

.colour {
  width: 56px;
  height: 32px;
}
</style>
