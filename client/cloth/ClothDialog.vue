<script setup lang="ts">
import { computed, ref } from 'vue'
import { Cloth, readWith, type Flaw, type Pattern, type Supply } from '../../contract/index.ts'
import { clothFaults } from '../../core/cloth/index.ts'
import { useShop } from '../stores/shop.ts'
import AmountField from '../ui/AmountField.vue'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import EntryDialog from '../ui/EntryDialog.vue'
import LengthField from '../ui/LengthField.vue'
import BandsField from './BandsField.vue'
import ClothSwatch from './ClothSwatch.vue'
import { clothFaultWords } from './fault-words.ts'
import { startPattern, startSupply } from './new-cloth.ts'

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
const setPattern = (change: object) => set({ pattern: { ...draft.value.pattern, ...change } as Pattern })
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
const corners = computed(() => (draft.value.supply.kind === 'remnant' ? draft.value.supply.outline : []))
const setCorners = (outline: [number, number][]) => set({ supply: { kind: 'remnant', outline } })
const setCorner = (i: number, axis: 0 | 1, mm: number) =>
  setCorners(corners.value.map((c, j): [number, number] => (j !== i ? c : axis === 0 ? [mm, c[1]] : [c[0], mm])))
/** A new corner half way to the next. */
function addCorner(): void {
  const [last, first] = [corners.value.at(-1)!, corners.value[0]!]
  setCorners([...corners.value, [(last[0] + first[0]) / 2, (last[1] + first[1]) / 2]])
}

const PATTERNS = [
  { value: 'plain', label: 'Plain' },
  { value: 'stripes', label: 'Stripes' },
  { value: 'check', label: 'Check' },
  { value: 'motif', label: 'Motif' },
] as const
const RUNS = [
  { value: 'along', label: 'along the roll' },
  { value: 'across', label: 'across it' },
] as const
const NAPS = [
  { value: 'two-way', label: 'either way up' },
  { value: 'one-way', label: 'one way only: pile or motif' },
] as const
const BACKS = { 'back not known': undefined, 'back coated': true, 'back bare': false } as const
const backOf = ({ coatedBack }: Cloth) =>
  coatedBack === undefined ? 'back not known' : coatedBack ? 'back coated' : 'back bare'
const SUPPLIES = [
  { value: 'to-buy', label: 'To buy' },
  { value: 'length', label: 'A length' },
  { value: 'remnant', label: 'A remnant' },
] as const
</script>

<template>
  <EntryDialog
    :title="isNew ? 'New cloth' : cloth.name"
    width="1080px"
    :fault="fault"
    :keep="() => shop.keepCloth(draft, isNew ? null : cloth)"
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
            maxlength="80"
            :value="draft.name"
            @input="set({ name: ($event.target as HTMLInputElement).value })"
          />
        </div>
        <div class="field-row">
          <span class="label">Width, selvedges</span>
          <div class="pair">
            <LengthField
              :model-value="draft.widthMm"
              :unit="units"
              name="Width"
              :max="5000"
              @update:model-value="set({ widthMm: $event })"
            />
            <LengthField
              :model-value="draft.selvedgeMm[0]"
              :unit="units"
              name="Left selvedge"
              :min="0"
              :max="200"
              @update:model-value="set({ selvedgeMm: [$event, draft.selvedgeMm[1]] })"
            />
            <LengthField
              :model-value="draft.selvedgeMm[1]"
              :unit="units"
              name="Right selvedge"
              :min="0"
              :max="200"
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
        <div class="field-row">
          <span class="label">Pattern</span
          ><ChoiceButtons
            :model-value="draft.pattern.kind"
            :choices="PATTERNS"
            name="Pattern"
            @update:model-value="set({ pattern: startPattern($event) })"
          />
        </div>
        <template v-if="draft.pattern.kind === 'stripes'">
          <div class="field-row">
            <span class="label">They run</span
            ><ChoiceButtons
              :model-value="draft.pattern.runs"
              :choices="RUNS"
              name="Stripes run"
              @update:model-value="setPattern({ runs: $event })"
            />
          </div>
          <div class="field-row">
            <span class="label">First repeat starts</span
            ><LengthField
              :model-value="draft.pattern.startMm"
              :unit="units"
              name="First repeat starts"
              :min="0"
              :max="5000"
              @update:model-value="setPattern({ startMm: $event })"
            />
          </div>
          <BandsField
            :model-value="draft.pattern.bands"
            :unit="units"
            name="Band"
            @update:model-value="setPattern({ bands: $event })"
          />
        </template>
        <template v-else-if="draft.pattern.kind === 'check'">
          <div class="field-row">
            <span class="label">Repeat starts</span>
            <div class="pair">
              <LengthField
                :model-value="draft.pattern.startMm"
                :unit="units"
                name="Starts across"
                :min="0"
                :max="5000"
                @update:model-value="setPattern({ startMm: $event })"
              /><LengthField
                :model-value="draft.pattern.startAlongMm"
                :unit="units"
                name="Starts along"
                :min="0"
                :max="5000"
                @update:model-value="setPattern({ startAlongMm: $event })"
              />
            </div>
          </div>
          <BandsField
            :model-value="draft.pattern.across"
            :unit="units"
            name="Band across"
            @update:model-value="setPattern({ across: $event })"
          />
          <BandsField
            :model-value="draft.pattern.along"
            :unit="units"
            name="Band along"
            @update:model-value="setPattern({ along: $event })"
          />
        </template>
        <template v-else-if="draft.pattern.kind === 'motif'">
          <div class="field-row">
            <span class="label">Repeat across, along</span>
            <div class="pair">
              <LengthField
                :model-value="draft.pattern.acrossMm"
                :unit="units"
                name="Repeat across"
                :max="3000"
                @update:model-value="setPattern({ acrossMm: $event })"
              /><LengthField
                :model-value="draft.pattern.alongMm"
                :unit="units"
                name="Repeat along"
                :max="3000"
                @update:model-value="setPattern({ alongMm: $event })"
              />
            </div>
          </div>
          <div class="field-row">
            <span class="label">A motif's middle</span>
            <div class="pair">
              <LengthField
                :model-value="draft.pattern.startMm"
                :unit="units"
                name="Motif from the left edge"
                :min="0"
                :max="5000"
                @update:model-value="setPattern({ startMm: $event })"
              /><LengthField
                :model-value="draft.pattern.startAlongMm"
                :unit="units"
                name="Motif from the starting end"
                :min="0"
                :max="5000"
                @update:model-value="setPattern({ startAlongMm: $event })"
              />
            </div>
          </div>
          <div class="field-row">
            <span class="label">Half-drop</span
            ><label class="tick"
              ><input
                type="checkbox"
                :checked="draft.pattern.halfDrop"
                @change="setPattern({ halfDrop: ($event.target as HTMLInputElement).checked })"
              />
              every second column stands half a repeat further on</label
            >
          </div>
          <div class="field-row">
            <span class="label">Colour</span
            ><input
              type="color"
              :value="draft.pattern.colour"
              aria-label="Motif colour"
              class="colour"
              @input="setPattern({ colour: ($event.target as HTMLInputElement).value })"
            />
          </div>
        </template>
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
          <div class="pair">
            <AmountField
              :model-value="draft.pricePerMetre"
              kind="plain"
              name="Price a metre"
              :min="0"
              :max="100000"
              @update:model-value="set({ pricePerMetre: $event ?? 0 })"
            /><LengthField
              :model-value="draft.buyingStepMm"
              :unit="units"
              name="Buying step"
              :max="5000"
              @update:model-value="set({ buyingStepMm: $event })"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Fibre, use</span>
          <div class="pair">
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
          <span class="label">Gives, across / along</span>
          <div class="pair">
            <AmountField
              :model-value="draft.stretch.across"
              kind="share"
              name="Stretch across"
              :min="0"
              :max="0.5"
              @update:model-value="set({ stretch: { ...draft.stretch, across: $event ?? 0 } })"
            /><AmountField
              :model-value="draft.stretch.along"
              kind="share"
              name="Stretch along"
              :min="0"
              :max="0.5"
              @update:model-value="set({ stretch: { ...draft.stretch, along: $event ?? 0 } })"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Shrinks, across / along</span>
          <div class="pair">
            <AmountField
              :model-value="draft.shrink.across"
              kind="share"
              name="Shrink across"
              :min="0"
              :max="0.2"
              @update:model-value="set({ shrink: { ...draft.shrink, across: $event ?? 0 } })"
            /><AmountField
              :model-value="draft.shrink.along"
              kind="share"
              name="Shrink along"
              :min="0"
              :max="0.2"
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
        <div class="field-row">
          <span class="label">Comes from</span
          ><ChoiceButtons
            :model-value="draft.supply.kind"
            :choices="SUPPLIES"
            name="Comes from"
            @update:model-value="set({ supply: startSupply($event, draft.widthMm) as Supply })"
          />
        </div>
        <div v-if="draft.supply.kind === 'length'" class="field-row">
          <span class="label">Length in hand</span
          ><LengthField
            :model-value="draft.supply.lengthMm"
            :unit="units"
            name="Length in hand"
            :max="200000"
            @update:model-value="set({ supply: { kind: 'length', lengthMm: $event } })"
          />
        </div>
        <template v-if="draft.supply.kind === 'remnant'">
          <p class="quiet">Its corners in order, each from the left edge and from the starting end:</p>
          <div v-for="(c, i) in corners" :key="i" class="pair">
            <LengthField
              :model-value="c[0]"
              :unit="units"
              :name="`Corner ${i + 1} from the left`"
              :min="0"
              :max="draft.widthMm"
              @update:model-value="setCorner(i, 0, $event)"
            />
            <LengthField
              :model-value="c[1]"
              :unit="units"
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
        <div v-for="(f, i) in draft.flaws" :key="i" class="pair">
          <LengthField
            :model-value="f.xMm"
            :unit="units"
            :name="`Flaw ${i + 1} from the left`"
            :min="0"
            @update:model-value="setFlaw(i, { xMm: $event })"
          />
          <LengthField
            :model-value="f.yMm"
            :unit="units"
            :name="`Flaw ${i + 1} from the start`"
            :min="0"
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

.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin-bottom: 4px;
}

.pair :deep(input:not([type='checkbox'])) {
  width: 66px;
}

.pick {
  width: 120px;
}

.colour {
  width: 56px;
  height: 32px;
}
</style>
