<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { FibreFilling, FILL_KG_M3, type Filling, FoamFilling, limits, Load } from '../../../../contract/index.ts'
import {
  demandsOf,
  EXPOSURE_WORDS,
  LOOSE_WORDS,
  mainGrade,
  USES,
  USUAL_FILL_KG_M3,
} from '../../../../core/filling/index.ts'
import { setFilling, setGrade, setInsert, setLooseFibre } from '../../../../core/job/index.ts'
import type { AmountKind } from '../../../../core/units/index.ts'
import { useDesign } from '../../../stores/design.ts'
import { useJob } from '../../../stores/job.ts'
import { useShop } from '../../../stores/shop.ts'
import AmountField from '../../../ui/AmountField.vue'
import ChoiceButtons from '../../../ui/ChoiceButtons.vue'
import FigureValue from '../../../ui/FigureValue.vue'
import LengthField from '../../../ui/LengthField.vue'
import InsertFields from './InsertFields.vue'
import TrialFields from './TrialFields.vue'

const { shape } = Load
/** What the seat must carry, where it lives, and what lies under it. */
const jobs = useJob()
const shop = useShop()
const design = useDesign()
const filling = computed(() => jobs.job!.filling)
const load = computed(() => filling.value.load)
const demands = computed(() => demandsOf(load.value))
const planned = computed(() => design.chosen?.filling ?? null)
const sinks = computed(() => (planned.value?.kind === 'foam' ? (planned.value.verdict?.support.fresh.sinks ?? []) : []))

const setLoad = (says: string, change: Partial<Load>, key: string | null = null) =>
  jobs.edit(setFilling(says, { load: { ...load.value, ...change } }), key)
function setOwn(name: keyof Load['own'], label: string, value: number | null): void {
  const { [name]: _, ...others } = load.value.own
  setLoad(label, { own: value === null ? others : { ...others, [name]: value } }, name)
}
function fillWith(kind: Filling['kind']): void {
  if (kind === filling.value.kind) return
  const { cover } = planned.value?.sizing ?? { cover: null }
  const round = (mm: number) => Math.max(1, Math.round(mm))
  if (kind === 'foam') jobs.edit(setGrade(shop.lists!.grades[0]!))
  else if (kind === 'loose-fibre') jobs.edit(setLooseFibre)
  else
    jobs.edit(
      setInsert({
        widthMm: round(cover?.width.value ?? 500),
        depthMm: round(cover?.depth.value ?? 500),
        thicknessMm: round(cover?.thickness.value ?? 100),
      }),
    )
}
const setFibre = (says: string, change: object) =>
  jobs.edit(
    {
      says,
      apply: (job) => (job.filling.kind === 'loose-fibre' ? { ...job, filling: { ...job.filling, ...change } } : job),
    },
    says,
  )

type OwnShare = 'massShare' | 'slam' | 'leastCompression' | 'mostCompression'
interface OwnField {
  readonly name: OwnShare
  readonly label: string
  readonly kind: AmountKind
}
const OWN: readonly OwnField[] = [
  { name: 'massShare', label: 'Share of body mass', kind: 'share' },
  { name: 'slam', label: 'Slam of the heaviest', kind: 'plain' },
  { name: 'leastCompression', label: 'Firm, when it sinks less than', kind: 'share' },
  { name: 'mostCompression', label: 'Soft, when it sinks more than', kind: 'share' },
]
const ROUND = [
  { name: 'radiusMm', label: 'Roundness, radius' },
  { name: 'reachMm', label: 'Touches at most, from its middle' },
] as const
const BASES = { board: 'solid board', slats: 'slats', webbing: 'webbing', mesh: 'mesh' } as const
const asKpa = (pa: number) => phrase`${(pa / 1000).toFixed(1)} kPa`
</script>

<template>
  <div class="field-row">
    <span class="label">Filled with</span>
    <ChoiceButtons
      :model-value="filling.kind"
      :choices="[
        { value: 'foam', label: filling.kind === 'foam' ? mainGrade(filling.layers).name : 'Foam' },
        { value: 'loose-fibre', label: 'Loose fill' },
        { value: 'insert', label: 'Ready-made insert' },
      ]"
      name="Filled with"
      @update:model-value="fillWith"
    />
  </div>
  <InsertFields v-if="filling.kind === 'insert'" :insert="filling" />
  <template v-if="filling.kind === 'loose-fibre'">
    <div class="field-row">
      <span class="label">Fill</span>
      <ChoiceButtons
        :model-value="filling.of"
        :choices="[
          { value: 'fibre', label: 'polyester fibre' },
          { value: 'scrap', label: 'mixed scrap' },
        ]"
        name="Kind of fill"
        @update:model-value="setFibre(LOOSE_WORDS[$event], { of: $event, fillKgM3: USUAL_FILL_KG_M3[$event] })"
      />
    </div>
    <div class="field-row" data-field="filling.fill">
      <span class="label">Fill, per m³</span>
      <AmountField
        :model-value="filling.fillKgM3"
        kind="density"
        :lengths="jobs.job!.units"
        name="Fill"
        :min="FILL_KG_M3[filling.of].least"
        :max="FILL_KG_M3[filling.of].most"
        @update:model-value="$event !== null && setFibre('Fill', { fillKgM3: $event })"
      />
    </div>
    <div class="field-row" data-field="filling.liner">
      <span class="label">Liner larger by</span>
      <AmountField
        :model-value="filling.linerLargerShare"
        kind="share"
        v-bind="limits(FibreFilling.shape.linerLargerShare)"
        name="Liner larger by"
        @update:model-value="$event !== null && setFibre('Liner', { linerLargerShare: $event })"
      />
    </div>
    <table v-if="planned?.kind === 'loose-fibre'" class="results">
      <tbody>
        <tr>
          <th scope="row">Liner finishes</th>
          <td>
            <FigureValue :figure="planned.liner.width" bare unitless /> x
            <FigureValue :figure="planned.liner.depth" bare unitless /> x
            <FigureValue :figure="planned.liner.thickness" />
          </td>
        </tr>
        <tr>
          <th scope="row">{{ filling.of === 'fibre' ? 'Fibre' : 'Scrap' }} in each</th>
          <td><FigureValue v-if="planned.mass" :figure="planned.mass" /></td>
        </tr>
      </tbody>
    </table>
    <TrialFields />
  </template>
  <div class="field-row" data-field="filling.load">
    <span class="label">Use</span>
    <div>
      <ElSelect
        :model-value="load.use"
        aria-label="Use"
        @update:model-value="(use: Load['use']) => setLoad(USES[use].name, { use, own: {} })"
      >
        <ElOption v-for="(u, key) in USES" :key="key" :value="key" :label="u.name" />
      </ElSelect>
      <p class="quiet why">{{ demands.why }}</p>
    </div>
  </div>
  <div class="field-row">
    <span class="label">Lives</span>
    <ElSelect
      :model-value="load.exposure"
      aria-label="Where it lives"
      @update:model-value="(exposure: Load['exposure']) => setLoad(EXPOSURE_WORDS[exposure], { exposure })"
    >
      <ElOption v-for="(says, key) in EXPOSURE_WORDS" :key="key" :value="key" :label="says" />
    </ElSelect>
  </div>
  <div class="field-row">
    <span class="label">Lies on</span>
    <ElSelect
      :model-value="load.base"
      aria-label="What it lies on"
      @update:model-value="(base: Load['base']) => setLoad(`On ${BASES[base]}`, { base })"
    >
      <ElOption v-for="(says, key) in BASES" :key="key" :value="key" :label="says" />
    </ElSelect>
  </div>
  <div class="field-row">
    <span class="label">Sitters</span>
    <div class="fields-in-line">
      <AmountField
        :model-value="load.lightestKg"
        kind="mass"
        :lengths="jobs.job!.units"
        v-bind="limits(shape.lightestKg)"
        name="Lightest sitter"
        @update:model-value="$event !== null && setLoad('Lightest sitter', { lightestKg: $event }, 'lightest')"
      />
      <span>to</span>
      <AmountField
        :model-value="load.heaviestKg"
        kind="mass"
        :lengths="jobs.job!.units"
        v-bind="limits(shape.heaviestKg)"
        name="Heaviest sitter"
        @update:model-value="$event !== null && setLoad('Heaviest sitter', { heaviestKg: $event }, 'heaviest')"
      />
    </div>
  </div>
  <div class="field-row" data-field="filling.board">
    <span class="label">Board, now and before</span>
    <div class="fields-in-line">
      <LengthField
        :model-value="filling.boardMm.now"
        :unit="jobs.job!.units"
        v-bind="limits(FoamFilling.shape.boardMm.shape.now)"
        name="Board now"
        @update:model-value="jobs.edit(setFilling('Board', { boardMm: { ...filling.boardMm, now: $event } }), 'board')"
      />
      <LengthField
        :model-value="filling.boardMm.before"
        :unit="jobs.job!.units"
        v-bind="limits(FoamFilling.shape.boardMm.shape.before)"
        name="Board before"
        @update:model-value="
          jobs.edit(setFilling('Old board', { boardMm: { ...filling.boardMm, before: $event } }), 'old board')
        "
      />
    </div>
  </div>
  <table class="results">
    <tbody>
      <tr v-if="sinks.length > 0">
        <th scope="row">Pressure</th>
        <td>
          under the middle {{ sinks.map((s) => asKpa(s.peakPa)).join(', ') }}; on the average
          {{ sinks.map((s) => asKpa(s.meanPa)).join(', ') }}
        </td>
      </tr>
      <tr v-if="planned">
        <th scope="row">Height of the seat</th>
        <td>
          <FigureValue :figure="planned.height.now" /><template v-if="planned.height.change"
            >, <FigureValue :figure="planned.height.change" /> higher than before</template
          >
        </td>
      </tr>
    </tbody>
  </table>
  <details>
    <summary>Figures of this use, and your own</summary>
    <div v-for="field in OWN" :key="field.name" class="field-row own">
      <span class="label">{{ field.label }}</span>
      <AmountField
        :model-value="load.own[field.name] ?? null"
        :kind="field.kind"
        v-bind="limits(shape.own.shape[field.name])"
        :name="field.label"
        optional
        :placeholder="String(field.kind === 'share' ? Math.round(demands[field.name] * 100) : demands[field.name])"
        @update:model-value="setOwn(field.name, field.label, $event)"
      />
    </div>
    <div v-for="field in ROUND" :key="field.name" class="field-row own">
      <span class="label">{{ field.label }}</span>
      <div class="fields-in-line">
        <LengthField
          :model-value="demands.body[field.name]"
          :unit="jobs.job!.units"
          v-bind="limits(shape.own.shape[field.name])"
          :name="field.label"
          @update:model-value="setOwn(field.name, field.label, $event)"
        />
        <button
          v-if="load.own[field.name] !== undefined"
          type="button"
          class="plain-button"
          @click="setOwn(field.name, `${field.label} as usual`, null)"
        >
          As usual
        </button>
      </div>
    </div>
    <p class="quiet">Grey: as usual for this use. Empty goes back to it.</p>
  </details>
</template>

<style scoped>
.why {
  margin: 4px 0 0;
  font-size: 15px;
}

details summary {
  cursor: pointer;
  min-height: var(--small-target);
}

.own {
  margin-bottom: 4px;
}
</style>
