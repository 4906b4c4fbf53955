<script setup lang="ts">
import { computed } from 'vue'
import type { SizingSchool } from '../../../contract/index.ts'
import { setGrade } from '../../../core/job/index.ts'
import { firmnessOf } from '../../../core/filling/index.ts'
import { useJob } from '../../stores/job.ts'
import { useDesign } from '../../stores/design.ts'
import { useShop } from '../../stores/shop.ts'
import DesignChoice from '../../ui/DesignChoice.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import WarningList from '../../ui/WarningList.vue'
import NotYet from '../../ui/NotYet.vue'
import CountField from '../../ui/CountField.vue'
import FillingDrawing from './FillingDrawing.vue'
import { SCHOOLS, startSchool } from './schools.ts'

const jobs = useJob()
const shop = useShop()
const design = useDesign()
const filling = computed(() => design.chosen!.filling)
const job = computed(() => jobs.job!)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const school = computed(() => job.value.filling.school)
const grades = computed(() => shop.lists?.grades ?? [])

const setSchool = (next: SizingSchool, says: string, key: string | null = null) => jobs.edit({ says, apply: (j) => ({ ...j, filling: { ...j.filling, school: next } }) }, key)
const chooseKind = (kind: SizingSchool['kind']) => setSchool(startSchool(kind, design.chosen?.filling.sizing ?? null), SCHOOLS.find((s) => s.kind === kind)!.name)
</script>

<template>
  <section class="station">
    <template v-if="plan && design.chosen">
      <div class="drawing sheet"><FillingDrawing /></div>
      <div class="figures sheet">
        <DesignChoice />
        <h2>Foam</h2>
        <div class="grades" data-field="filling.grade">
          <table>
            <thead>
              <tr><th>Grade</th><th>Family</th><th class="n">kg/m³</th><th class="n">N at 40 %</th><th>Feel</th></tr>
            </thead>
            <tbody>
              <tr v-for="g in grades" :key="g.id" :class="{ chosen: g.name === job.filling.grade.name }">
                <td><button type="button" :aria-pressed="g.name === job.filling.grade.name" @click="jobs.edit(setGrade(g))">{{ g.name }}</button></td>
                <td>{{ g.family }}</td>
                <td class="n">{{ g.densityKgM3 }}</td>
                <td class="n">{{ g.hardnessN }}</td>
                <td>{{ firmnessOf(g.hardnessN) }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div class="field-row" data-field="filling.school">
          <span class="label">Sizing school</span>
          <div>
            <ElSelect :model-value="school.kind" aria-label="Sizing school" @update:model-value="chooseKind">
              <ElOption v-for="s in SCHOOLS" :key="s.kind" :value="s.kind" :label="s.name" />
            </ElSelect>
            <p class="quiet reason">{{ filling.sizing.reason }}</p>
          </div>
        </div>
        <div v-if="school.kind === 'full-block'" class="field-row" data-field="filling.thicknessExtra">
          <span class="label">Extra thickness</span>
          <LengthField :model-value="school.thicknessExtraMm" :unit="job.units" name="Extra thickness" :min="0" :max="6" @update:model-value="setSchool({ kind: 'full-block', thicknessExtraMm: $event }, 'Extra thickness', 'extra')" />
        </div>
        <template v-if="school.kind === 'wrap-then-measure'">
          <div class="field-row">
            <span class="label">Wadding loft</span>
            <LengthField :model-value="school.loftMm" :unit="job.units" name="Wadding loft" :min="1" :max="200" @update:model-value="setSchool({ ...school, loftMm: $event }, 'Wadding loft', 'loft')" />
          </div>
          <div class="field-row">
            <span class="label">Layers</span>
            <CountField :model-value="school.layers" name="Layers of wadding" :min="1" :max="6" @update:model-value="setSchool({ ...school, layers: $event }, 'Layers of wadding', 'layers')" />
          </div>
          <div class="field-row">
            <span class="label">Ends wrapped too</span>
            <ElSwitch :model-value="school.ends" aria-label="Ends wrapped too" @update:model-value="setSchool({ ...school, ends: Boolean($event) }, 'Ends wrapped')" />
          </div>
          <div class="field-row" data-field="filling.measured">
            <span class="label">Measured wrapped</span>
            <div v-if="school.measured">
              <LengthField v-for="key in (['widthMm', 'depthMm', 'thicknessMm'] as const)" :key="key" :model-value="school.measured[key]" :unit="job.units" :name="`Wrapped ${key.replace('Mm', '')}`" line="net" @update:model-value="setSchool({ ...school, measured: { ...school.measured!, [key]: $event } }, 'Wrapped size', key)" />
              <button type="button" class="plain-button" @click="setSchool({ ...school, measured: null }, 'Wrapped size calculated')">Not measured after all</button>
            </div>
            <button v-else type="button" class="plain-button" @click="setSchool({ ...school, measured: { widthMm: filling.sizing.wrapped.width.value, depthMm: filling.sizing.wrapped.depth.value, thicknessMm: filling.sizing.wrapped.thickness.value } }, 'Wrapped size measured')">Enter the measured size</button>
          </div>
        </template>
        <div v-if="school.kind === 'thinner-block'" class="field-row">
          <span class="label">Wadding loft</span>
          <LengthField :model-value="school.loftMm" :unit="job.units" name="Wadding loft" :min="1" :max="200" @update:model-value="setSchool({ ...school, loftMm: $event }, 'Wadding loft', 'loft')" />
        </div>
        <table class="results">
          <tbody>
            <tr><th scope="row">Block</th><td><FigureValue :figure="filling.sizing.block.width" bare unitless /> x <FigureValue :figure="filling.sizing.block.depth" bare unitless /> x <FigureValue :figure="filling.sizing.block.thickness" /></td></tr>
            <tr><th scope="row">Fit</th><td><FigureValue :figure="filling.fit.across" /> across, {{ filling.fit.verdict.across }}; <FigureValue :figure="filling.fit.frontToBack" /> front to back, {{ filling.fit.verdict.frontToBack }}</td></tr>
            <tr><th scope="row">From one sheet</th><td><FigureValue :figure="plan.sheets.perSheet" /></td></tr>
            <tr><th scope="row">Sheets</th><td><FigureValue :figure="plan.sheets.sheets" /></td></tr>
            <tr><th scope="row">Mass of a block</th><td><FigureValue :figure="filling.mass" /></td></tr>
            <tr><th scope="row">Foam cost</th><td><FigureValue :figure="plan.sheets.cost" /></td></tr>
          </tbody>
        </table>
        <WarningList :warnings="plan.warnings.filter((w) => w.station === 'filling')" />
      </div>
    </template>
    <NotYet v-else />
  </section>
</template>

<style scoped>
.grades {
  max-height: 214px;
  overflow-y: auto;
  border: 1px solid var(--paper-edge);
}

.grades table {
  width: 100%;
}

thead th {
  position: sticky;
  top: 0;
  background: #f1e9d9;
}

th,
td {
  text-align: left;
  padding: 1px 8px;
  font-weight: 400;
}

.n {
  text-align: right;
}

tbody tr:nth-child(even) {
  background: rgb(0 0 0 / 2.5%);
}

.grades td button {
  border: 0;
  background: none;
  color: var(--chalk);
  min-height: 32px;
  padding: 0;
  cursor: pointer;
  font-weight: 600;
  white-space: nowrap;
}

.chosen {
  background: var(--chalk-wash) !important;
}

.results th {
  width: 132px;
}

.reason {
  margin: 4px 0 0;
  font-size: 15px;
}
</style>
