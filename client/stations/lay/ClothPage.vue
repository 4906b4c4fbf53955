<script setup lang="ts">
import { computed } from 'vue'
import { AllowanceMm, Cloth, type ClothChoice, limits, limitsOfKind, PlacementRule } from '../../../contract/index.ts'
import { bandsOf } from '../../../core/pattern/index.ts'
import { depthWay, rowWay } from '../../../core/cover/index.ts'
import { allLieAs, partName, setCloth } from '../../../core/job/index.ts'
import { formatLength, formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'
import FoldField from './FoldField.vue'

/** Which cloth, which way, and where its pattern falls. */
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const choice = computed(() => jobs.job!.cloth)
const unit = computed(() => jobs.job!.units)
/** The cloth of the job stands first: it alone has a pattern to match and a direction to choose. */
/** Whether what lies on the table is the face of the part in view. */
const isMain = computed(() => lays.chosen?.cloth.id === choice.value.cloth.id)
const isSet = computed(() => jobs.whole!.parts.length > 1)
function allAlike(): void {
  const { letter } = jobs.job!
  jobs.edit({ says: 'All lie alike', applyToJob: (job) => allLieAs(job, letter) })
}
const rowBands = computed(() => bandsOf(choice.value.cloth, rowWay(choice.value)))
const depthBands = computed(() => bandsOf(choice.value.cloth, depthWay(choice.value)))
/** Stripes that run along the row are placed from front to back. */
const across = computed(() => rowBands.value.length > 0)
const bands = computed(() => (across.value ? rowBands.value : depthBands.value))
const hasDepthRule = computed(
  () => choice.value.match.kind === 'matched' && across.value && depthBands.value.length > 0,
)

const setChoice = (says: string, change: (c: typeof choice.value) => typeof choice.value, key: string | null = null) =>
  jobs.edit({ says, apply: (j) => ({ ...j, cloth: change(j.cloth) }) }, key)
const setRule = (rule: PlacementRule, says: string, key: string | null = null) =>
  setChoice(says, (c) => ({ ...c, match: { kind: 'matched', rule } }), key)
const rule = computed(() => (choice.value.match.kind === 'matched' ? choice.value.match.rule : null))
function chooseRule(kind: string): void {
  const band = rule.value?.band ?? 0
  if (kind === 'none') setChoice('Stripes not matched', (c) => ({ ...c, match: { kind: 'none' } }))
  else if (kind === 'band-at-mark') setRule({ kind, band, markMm: 0 }, 'Stripes by a mark')
  else setRule({ kind: kind as 'band-on-centre' | 'band-on-each-centre' | 'band-at-left-end', band }, 'Stripes placed')
}
const DIRECTIONS = [
  { value: 'up-the-roll', label: 'Up the roll' },
  { value: 'railroaded', label: 'Railroaded' },
] as const
const HIDDEN = [
  { value: 'across', label: 'Across the roll' },
  { value: 'along', label: 'Along it' },
] as const
const STRIPES = [
  { value: 'upright', label: 'stripe upright' },
  { value: 'along', label: 'stripe along it' },
] as const
const RULES = computed(() => [
  { value: 'none', label: 'not matched' },
  { value: 'band-on-centre', label: across.value ? 'on the middle of the row' : 'on the middle of the depth' },
  ...(across.value ? [{ value: 'band-on-each-centre', label: 'on the middle of each cushion' }] : []),
  { value: 'band-at-left-end', label: across.value ? 'at the left end' : 'at the front edge' },
  { value: 'band-at-mark', label: across.value ? 'at a mark, from the left end' : 'at a mark, from the front' },
])
const PAIRS = [
  { value: 'goes-on-under', label: 'go on from the top' },
  { value: 'same', label: 'as the top, to turn over' },
] as const
const DEPTH_RULES = [
  { value: 'front-edges-alike', label: 'alike at every front edge' },
  { value: 'band-on-middle', label: 'on the middle of the depth' },
  { value: 'band-from-front', label: 'so far from the front edge' },
] as const
type DepthKind = (typeof DEPTH_RULES)[number]['value']
const depthRule = computed(() => {
  const { alongRule } = choice.value
  return alongRule === 'front-edges-alike'
    ? null
    : alongRule === 'centred'
      ? ({ kind: 'band-on-middle', band: 0 } as const)
      : alongRule
})
const setDepthRule = (alongRule: ClothChoice['alongRule'], key: string | null = null) =>
  setChoice('Pattern from front to back', (c) => ({ ...c, alongRule }), key)
function chooseDepthRule(kind: DepthKind): void {
  const band = depthRule.value?.band ?? 0
  setDepthRule(
    kind === 'front-edges-alike' ? kind : kind === 'band-on-middle' ? { kind, band } : { kind, band, fromMm: 0 },
  )
}
</script>

<template>
  <div class="cloth-page">
    <template v-if="isMain">
      <div class="field-row">
        <span class="label">Cloth</span>
        <ElSelect
          :model-value="choice.cloth.name"
          aria-label="Cloth"
          @update:model-value="(name: string) => jobs.edit(setCloth(shop.lists!.cloths.find((c) => c.name === name)!))"
        >
          <ElOption
            v-for="c in shop.lists?.cloths ?? []"
            :key="c.id"
            :value="c.name"
            :label="`${c.name}, ${formatLengthWithUnit(c.widthMm, unit)} wide${c.nap === 'one-way' ? ', one-way' : ''}`"
          />
        </ElSelect>
      </div>
      <div class="field-row">
        <span class="label">Width, selvedges</span>
        <div class="fields-in-line narrow-fields">
          <LengthField
            :model-value="choice.cloth.widthMm"
            :unit="unit"
            v-bind="limits(Cloth.shape.widthMm)"
            name="Cloth width"
            @update:model-value="
              (mm) => setChoice('Cloth width', (c) => ({ ...c, cloth: { ...c.cloth, widthMm: mm } }), 'cloth-width')
            "
          />
          <LengthField
            :model-value="choice.cloth.selvedgeMm[0]"
            :unit="unit"
            v-bind="limits(AllowanceMm)"
            name="Left selvedge"
            @update:model-value="
              (mm) =>
                setChoice(
                  'Selvedge',
                  (c) => ({ ...c, cloth: { ...c.cloth, selvedgeMm: [mm, c.cloth.selvedgeMm[1]] } }),
                  'selvedge-left',
                )
            "
          />
          <LengthField
            :model-value="choice.cloth.selvedgeMm[1]"
            :unit="unit"
            v-bind="limits(AllowanceMm)"
            name="Right selvedge"
            @update:model-value="
              (mm) =>
                setChoice(
                  'Selvedge',
                  (c) => ({ ...c, cloth: { ...c.cloth, selvedgeMm: [c.cloth.selvedgeMm[0], mm] } }),
                  'selvedge-right',
                )
            "
          />
        </div>
      </div>
      <p v-if="isSet" class="quiet">
        How <b>{{ partName(jobs.job!) }}</b> lie on it:
        <button type="button" class="plain-button" @click="allAlike">All like these</button>
      </p>
      <div class="field-row">
        <span class="label">Direction</span>
        <div>
          <ChoiceButtons
            :model-value="choice.direction"
            :choices="DIRECTIONS"
            name="Direction"
            @update:model-value="
              (d) => setChoice(d === 'railroaded' ? 'Railroaded' : 'Up the roll', (c) => ({ ...c, direction: d }))
            "
          />
        </div>
      </div>
      <FoldField />
      <template v-if="bands.length > 0">
        <div class="field-row">
          <span class="label">The band</span>
          <div class="fields-in-line narrow-fields">
            <ElSelect
              v-if="rule"
              :model-value="rule.band"
              class="band"
              aria-label="Ruling band"
              @update:model-value="(b: number) => setRule({ ...rule!, band: b }, 'Ruling band')"
            >
              <ElOption
                v-for="(b, i) in bands"
                :key="i"
                :value="i"
                :label="`${i + 1} ${b.name} ${formatLength(b.widthMm, unit)}`"
                ><span class="swatch" :style="{ background: b.colour }" />{{ i + 1 }} {{ b.name }}
                {{ formatLengthWithUnit(b.widthMm, unit) }}</ElOption
              >
            </ElSelect>
            <ElSelect
              :model-value="rule?.kind ?? 'none'"
              class="rule"
              aria-label="Where the band falls"
              @update:model-value="chooseRule"
            >
              <ElOption v-for="r in RULES" :key="r.value" :value="r.value" :label="r.label" />
            </ElSelect>
            <LengthField
              v-if="rule?.kind === 'band-at-mark'"
              :model-value="rule.markMm"
              :unit="unit"
              v-bind="limitsOfKind(PlacementRule, 'band-at-mark', 'markMm')"
              name="Mark"
              @update:model-value="(mm) => setRule({ ...rule!, kind: 'band-at-mark', markMm: mm }, 'Mark', 'mark')"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">{{ across ? 'Side' : 'Front' }} boxing</span>
          <div>
            <ChoiceButtons
              :model-value="choice.sideBoxing"
              :choices="STRIPES"
              name="Stripe on boxing it does not cross"
              @update:model-value="(s) => setChoice('Stripe on the boxing', (c) => ({ ...c, sideBoxing: s }))"
            />
          </div>
        </div>
        <div class="field-row">
          <span class="label">Gussets, cut</span>
          <div>
            <ChoiceButtons
              :model-value="choice.hiddenStrips"
              :choices="HIDDEN"
              name="Gussets are cut"
              @update:model-value="(s) => setChoice('Hidden strips', (c) => ({ ...c, hiddenStrips: s }))"
            />
          </div>
        </div>
      </template>
      <div v-if="choice.match.kind === 'matched'" class="field-row">
        <span class="label">Bottom plates</span>
        <div>
          <ChoiceButtons
            :model-value="choice.pairs"
            :choices="PAIRS"
            name="Bottom plates"
            @update:model-value="(pairs) => setChoice('Bottom plates', (c) => ({ ...c, pairs }))"
          />
        </div>
      </div>
      <div v-if="hasDepthRule" class="field-row">
        <span class="label">Front to back</span>
        <div class="fields-in-line narrow-fields">
          <ElSelect
            v-if="depthRule"
            :model-value="depthRule.band"
            class="band"
            aria-label="Band from front to back"
            @update:model-value="(band: number) => setDepthRule({ ...depthRule!, band })"
          >
            <ElOption
              v-for="(b, i) in depthBands"
              :key="i"
              :value="i"
              :label="`${i + 1} ${b.name} ${formatLength(b.widthMm, unit)}`"
            />
          </ElSelect>
          <ElSelect
            :model-value="depthRule?.kind ?? 'front-edges-alike'"
            class="rule"
            aria-label="Where the pattern falls from front to back"
            @update:model-value="chooseDepthRule"
          >
            <ElOption v-for="r in DEPTH_RULES" :key="r.value" :value="r.value" :label="r.label" />
          </ElSelect>
          <LengthField
            v-if="depthRule?.kind === 'band-from-front'"
            :model-value="depthRule.fromMm"
            :unit="unit"
            name="From the front edge"
            @update:model-value="
              (fromMm) => setDepthRule({ ...depthRule!, kind: 'band-from-front', fromMm }, 'from-front')
            "
          />
        </div>
      </div>
    </template>
    <template v-else>
      <p class="quiet bound">{{ lays.chosen?.cloth.name }}: what is cut from it is chosen on the make-up station.</p>
      <FoldField />
    </template>
  </div>
</template>

<style scoped>
.cloth-page {
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.band {
  width: 150px;
}

.rule {
  width: 220px;
}

.swatch {
  display: inline-block;
  width: 16px;
  height: 12px;
  margin-right: 8px;
  border: 1px solid var(--ink-soft);
}
</style>
