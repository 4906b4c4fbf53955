<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { Cutting, type FoamStock, limits } from '../../../../contract/index.ts'
import { KERF_MM, sheetsIn, toolWords, type CuttingPlan } from '../../../../core/filling/index.ts'
import { setCutting } from '../../../../core/job/index.ts'
import { foamOrderCsv } from '../../../../core/formats/index.ts'
import { sheetSize } from '../../../../core/lists/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import { formatAmount, formatLength, formatLengthWithUnit, unitName } from '../../../../core/units/index.ts'
import { sayAmountWithUnit } from '../../../../core/working/index.ts'
import { useNest } from '../../../stores/nest.ts'
import { useShop } from '../../../stores/shop.ts'
import AmountField from '../../../ui/AmountField.vue'
import ChoiceButtons from '../../../ui/ChoiceButtons.vue'
import { download } from '../../../ui/download.ts'
import { csvManner } from '../../../ui/manner.ts'
import FigureValue from '../../../ui/FigureValue.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'

const { shape } = Cutting
/** How the foam is got and cut: sheets or cut to size, stock, joins, tool, glue, film. */
const { jobs, foam } = useFoam()
const nest = useNest()
const shop = useShop()
const units = computed(() => jobs.job!.units)
const cutting = computed(() => jobs.job!.cutting)
const plan = computed(() => (jobs.plan as WorkedPlan).cutting as CuttingPlan)
const set = (says: string, with_: Partial<Cutting>, key: string | null = null) =>
  jobs.edit(setCutting(says, with_), key)

const TOOLS = { 'electric-knife': 'electric knife', 'bread-knife': 'bread knife', 'hot-wire': 'hot wire' } as const
/** Pieces of the grades in use; those chosen stay listed though they may be gone from the shop. */
const stock = computed((): readonly FoamStock[] => {
  const grades = new Set(
    plan.value.groups.map((g) => g.group.grade.id).concat(foam.value.layers.map((l) => l.grade.id)),
  )
  const inShop = (shop.lists?.foamStock ?? []).filter((s) => grades.has(s.gradeId))
  return [...inShop, ...cutting.value.stock.filter((s) => !inShop.some((own) => own.id === s.id))]
})
const isUsed = (piece: FoamStock) => cutting.value.stock.some((s) => s.id === piece.id)
const use = (piece: FoamStock, on: boolean) =>
  set(on ? phrase`Use ${piece.name}` : phrase`Leave ${piece.name}`, {
    stock: on ? [...cutting.value.stock, piece] : cutting.value.stock.filter((s) => s.id !== piece.id),
  })
/** Sheets to buy by the nest that was found; null while there is none. */
const nested = computed(() =>
  nest.lays.length === 0 ? null : nest.lays.filter((n) => n.stock === null).reduce((sum, n) => sum + sheetsIn(n), 0),
)
/** Chosen, but the nest found no use for it. */
const isLeftOver = (piece: FoamStock) =>
  isUsed(piece) && !nest.running && nest.lays.length > 0 && !nest.lays.some((n) => n.stock === piece.id)
const joins = computed(() =>
  plan.value.blocks.flatMap((b) =>
    b.slices.flatMap((s, i) =>
      s.joins.across.length + s.joins.deep.length > 0
        ? [{ block: b.letter, slice: i + 1, across: s.joins.across, deep: s.joins.deep }]
        : [],
    ),
  ),
)
const thickest = computed(() => Math.max(0, ...plan.value.groups.map((g) => g.group.thicknessMm)))
const mm = (length: number) => formatLengthWithUnit(length, units.value)
const saveOrder = () =>
  download(phrase`${jobs.job!.ticket} foam order.csv`, foamOrderCsv(plan.value, jobs.job!, csvManner()), 'text/csv')
</script>

<template>
  <div class="field-row">
    <span class="label">Foam comes</span>
    <ChoiceButtons
      :model-value="cutting.supply"
      :choices="[
        { value: 'sheets', label: 'in sheets' },
        { value: 'cut-to-size', label: 'cut to size' },
      ]"
      name="How foam comes"
      @update:model-value="set('Foam supply', { supply: $event })"
    />
  </div>
  <template v-if="cutting.supply === 'sheets'">
    <table class="lines">
      <thead>
        <tr>
          <th>Out of</th>
          <th>Parts</th>
          <th class="n">Buy</th>
          <th class="n">Cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="g in plan.groups" :key="g.group.id">
          <td>
            {{ g.group.grade.name }}
            <div class="quiet">
              {{
                g.buy
                  ? sheetSize(g.buy.sheet, g.group.thicknessMm, units)
                  : `${mm(g.group.thicknessMm)}, ${g.nest.length > 0 ? 'from stock' : 'not for sale'}`
              }}
            </div>
          </td>
          <td>{{ g.group.parts.map((p) => `${p.count} x ${p.id}`).join(', ') }}</td>
          <td class="n"><FigureValue v-if="g.buy" :figure="g.buy.sheets" /></td>
          <td class="n"><FigureValue v-if="g.buy" :figure="g.buy.cost" /></td>
        </tr>
      </tbody>
    </table>
    <div class="nesting no-print">
      <button v-if="nest.isKept" type="button" class="plain-button" @click="nest.letGo()">Nest anew</button>
      <template v-else>
        <button type="button" class="plain-button main" :disabled="!nest.canKeep" @click="nest.keep()">
          Keep this nest
        </button>
        <button type="button" class="plain-button" @click="nest.running ? nest.stop() : nest.search(10)">
          {{ nest.running ? 'Stop' : 'Search 10 s more' }}
        </button>
        <span class="quiet"
          >{{
            nested === null ? 'Looking for a nest …' : `This nest buys ${nested} ${nested === 1 ? 'sheet' : 'sheets'}.`
          }}
          Until one is kept, sheets are counted in straight rows.</span
        >
      </template>
    </div>
    <p v-if="nest.left.length > 0" class="fault" role="alert">
      No place for {{ nest.left.join(', ') }}: larger than any sheet, or no sheet is sold. Choose larger stock, divide
      the cushion, or order cut to size.
    </p>
    <div v-if="stock.length > 0" class="stock" data-field="filling.stock">
      <h3>Stock of these grades</h3>
      <label v-for="piece in stock" :key="piece.id"
        ><input
          type="checkbox"
          :checked="isUsed(piece)"
          @change="use(piece, ($event.target as HTMLInputElement).checked)"
        />
        {{ piece.name }}, {{ piece.kind }} {{ sheetSize(piece, piece.thicknessMm, units)
        }}{{ piece.count > 1 ? `, ${piece.count} of` : ''
        }}<span v-if="isLeftOver(piece)" class="quiet"> no part comes out of it</span></label
      >
    </div>
    <div v-if="joins.length > 0">
      <h3>Joins</h3>
      <p v-for="j in joins" :key="`${j.block}${j.slice}`" class="join">
        Block {{ j.block }}, sheet {{ j.slice }} from the board:
        {{
          [
            ...j.across.map((p) => `${formatLength(p, units)} from the left`),
            ...j.deep.map((p) => `${formatLength(p, units)} from the front`),
          ].join(', ')
        }}
      </p>
      <ChoiceButtons
        :model-value="cutting.joint"
        :choices="[
          { value: 'butt', label: 'butt joint' },
          { value: 'scarf', label: 'scarf, 45°' },
        ]"
        name="Joint"
        @update:model-value="set('Joint', { joint: $event })"
      />
    </div>
  </template>
  <table v-else class="lines">
    <thead>
      <tr>
        <th>Order, cut to size</th>
        <th class="n">Count</th>
        <th class="n">Size over all</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="l in plan.order" :key="l.what">
        <td>
          {{ l.what }}
          <div class="quiet">{{ l.grade.name }}</div>
        </td>
        <td class="n">{{ l.count }}</td>
        <td class="n">{{ [l.widthMm, l.depthMm, l.thicknessMm].map((v) => formatLength(v, units)).join(' x ') }}</td>
      </tr>
    </tbody>
  </table>
  <div class="field-row">
    <span class="label">Tool</span>
    <div>
      <ElSelect
        :model-value="cutting.tool"
        aria-label="Tool"
        @update:model-value="(tool: Cutting['tool']) => set(TOOLS[tool], { tool })"
        ><ElOption
          v-for="(says, key) in TOOLS"
          :key="key"
          :value="key"
          :label="`${says}, kerf ${formatAmount(KERF_MM[key], 'thin', units)}`"
      /></ElSelect>
      <p class="quiet tool">{{ mm(thickest) }}: {{ toolWords(thickest, cutting.tool, mm) }}.</p>
    </div>
  </div>
  <div class="field-row" data-field="filling.trim">
    <span class="label">Trim of sheets</span>
    <LengthField
      :model-value="cutting.trimMm"
      :unit="units"
      v-bind="limits(shape.trimMm)"
      name="Trim"
      @update:model-value="set('Trim', { trimMm: $event }, 'trim')"
    />
  </div>
  <div class="field-row" data-field="filling.glue">
    <span class="label">Glue on a face</span>
    <AmountField
      :model-value="cutting.glueGM2"
      kind="surface-mass"
      :lengths="units"
      v-bind="limits(shape.glueGM2)"
      name="Glue"
      @update:model-value="$event !== null && set('Glue', { glueGM2: $event }, 'glue')"
    />
  </div>
  <div class="field-row">
    <span class="label">Film to ease it in</span>
    <ChoiceButtons
      :model-value="cutting.film"
      :choices="[
        { value: 'none', label: 'none' },
        { value: 'taken-out', label: 'drawn out again' },
        { value: 'left-in', label: 'stays' },
      ]"
      name="Film"
      @update:model-value="set('Film', { film: $event })"
    />
  </div>
  <div class="field-row">
    <span class="label">Glue on</span>
    <div class="nesting">
      <ChoiceButtons
        :model-value="String(cutting.glueFaces)"
        :choices="[
          { value: '1', label: 'one face' },
          { value: '2', label: 'both faces' },
        ]"
        name="Faces that are glued"
        @update:model-value="set('Glued faces', { glueFaces: $event === '1' ? 1 : 2 })"
      />
      <ChoiceButtons
        :model-value="String(cutting.glueCoats)"
        :choices="[
          { value: '1', label: 'one coat' },
          { value: '2', label: 'two coats' },
        ]"
        name="Coats of glue"
        @update:model-value="set('Coats of glue', { glueCoats: $event === '1' ? 1 : 2 })"
      />
    </div>
  </div>
  <div v-if="cutting.supply === 'cut-to-size'" class="field-row">
    <span class="label">Ordered larger by</span>
    <LengthField
      :model-value="cutting.oversizeMm"
      :unit="units"
      v-bind="limits(shape.oversizeMm)"
      name="Ordered larger, for trimming"
      @update:model-value="set('Ordered larger', { oversizeMm: $event }, 'oversize')"
    />
  </div>
  <table class="results">
    <tbody>
      <tr>
        <th scope="row">Foam cost</th>
        <td><FigureValue :figure="plan.cost" /></td>
      </tr>
      <tr v-if="plan.supplies.glue">
        <th scope="row">Glue</th>
        <td><FigureValue :figure="plan.supplies.glue" /></td>
      </tr>
      <tr v-if="plan.supplies.waddingM2">
        <th scope="row">Wadding</th>
        <td><FigureValue :figure="plan.supplies.waddingM2" /></td>
      </tr>
      <tr v-if="plan.supplies.filmM2">
        <th scope="row">Film</th>
        <td><FigureValue :figure="plan.supplies.filmM2" /></td>
      </tr>
      <tr v-if="plan.supplies.pieces.length > 0">
        <th scope="row">Cut from the roll</th>
        <td>
          <div v-for="p in plan.supplies.pieces" :key="`${p.what} ${p.where}`">
            {{ p.count }} of {{ formatLength(p.lengthMm, units) }} x {{ formatLength(p.widthMm, units) }}
            {{ unitName(units) }} {{ p.what }}, {{ p.where }}
          </div>
        </td>
      </tr>
      <tr v-if="plan.supplies.joints.length > 0">
        <th scope="row">Glued</th>
        <td>
          <div v-for="j in plan.supplies.joints" :key="`${j.letter} ${j.where}`">
            {{ sayAmountWithUnit(j.areaMm2, 'area', units) }} of block {{ j.letter }}, {{ j.where }}
          </div>
        </td>
      </tr>
    </tbody>
  </table>
  <button type="button" class="plain-button no-print" @click="saveOrder">Order list as a spreadsheet</button>
</template>

<style scoped>
.lines {
  width: 100%;
}

.lines th,
.lines td {
  text-align: left;
  font-weight: 400;
  padding: 4px 8px 4px 0;
  border-top: 1px solid var(--paper-edge);
  vertical-align: top;
}

.lines thead th {
  border-top: 0;
  color: var(--ink-soft);
}

.lines .n {
  text-align: right;
}

.lines .quiet {
  font-size: 14px;
}

.nesting {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.stock label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: var(--small-target);
}

.join,
.tool,
.fault {
  margin: 4px 0;
  font-size: 15px;
}

.fault {
  color: var(--rust);
}
</style>
