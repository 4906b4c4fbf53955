<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { FoamStock, Grade } from '../../contract/index.ts'
import {
  ageingOf,
  firmnessOf,
  hardnessOf,
  isLifeKnown,
  quotedForceOf,
  quotedStrain,
  supportFactorOf,
} from '../../core/filling/index.ts'
import { writeCatalogue } from '../../core/formats/index.ts'
import { sheetSize } from '../../core/lists/index.ts'
import { amountFactor, amountUnit, isInch, shownAmount, unitName } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { download } from '../ui/download.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import GradeDialog from './GradeDialog.vue'
import ImportDialog from './ImportDialog.vue'
import { newGrade, newStock } from './new-entries.ts'
import StockDialog from './StockDialog.vue'
import { writeThicknesses } from './thickness-list.ts'

/** The shop's foam: what can be ordered, and what lies on the rack. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const grade = ref<Grade | null>(null)
const stock = ref<FoamStock | null>(null)
const imported = ref<{ readonly name: string; readonly text: string } | null>(null)
const picker = ref<HTMLInputElement>()
const grades = computed(() => shop.lists?.grades ?? [])
const pieces = computed(() => shop.lists?.foamStock ?? [])
const units = computed(() => shop.lists?.settings.units ?? 'mm')
const nameOf = (id: string) => grades.value.find((g) => g.id === id)?.name ?? id

onMounted(() => attempt(() => shop.open()))
const saveFile = () => download('foam catalogue.csv', writeCatalogue(grades.value), 'text/csv')
async function readFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) imported.value = { name: file.name, text: await file.text() }
  input.value = ''
}
</script>

<template>
  <ShopPage title="Foam store" :failed="failed">
    <template #tools>
      <button type="button" class="plain-button" @click="saveFile">Catalogue as a spreadsheet</button>
      <button type="button" class="plain-button" @click="picker?.click()">Read a spreadsheet</button>
      <input ref="picker" type="file" accept=".csv,.txt,text/csv" hidden @change="readFile" />
    </template>
    <section class="sheet">
      <div class="head">
        <h2>Grades to order</h2>
        <button type="button" class="plain-button main" @click="grade = newGrade(units)">New grade</button>
      </div>
      <p v-if="shop.lists && grades.length === 0" class="quiet">
        No grade yet. Enter one from its data sheet, or read the supplier's list as a spreadsheet.
      </p>
      <table v-else class="ruled-table">
        <thead>
          <tr>
            <th>Grade</th>
            <th>Family</th>
            <th class="n">{{ amountUnit('density', units) }}</th>
            <th class="n">{{ amountUnit('force', units) }} at {{ quotedStrain(units) * 100 }} %</th>
            <th>Feel</th>
            <th class="n">Support</th>
            <th>Places</th>
            <th>Life</th>
            <th>Thicknesses, {{ unitName(units) }}</th>
            <th class="n">{{ amountUnit('volume-price', units) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="g in grades" :key="g.id">
            <th scope="row">
              <button type="button" class="thing-name" @click="grade = g">{{ g.name }}</button><span
                v-if="g.combustionModified"
                class="quiet"
              >
                combustion modified</span
              >
            </th>
            <td>{{ g.family }}</td>
            <td class="n">{{ g.densityKgM3 === null ? '?' : shownAmount(g.densityKgM3, 'density', units) }}</td>
            <template v-if="hardnessOf(g) !== null">
              <td class="n">{{ quotedForceOf(g, units) }}</td>
              <td>{{ firmnessOf(hardnessOf(g)!) }}</td>
              <td class="n">{{ supportFactorOf(g).toFixed(1) }}</td>
            </template>
            <template v-else>
              <td class="n">?</td>
              <td>{{ g.said === '' ? 'not known' : `“${g.said}”` }}</td>
              <td class="n">?</td>
            </template>
            <td>{{ g.exposures.join(', ') }}</td>
            <td>{{ isLifeKnown(g) ? `${ageingOf(g).years} years` : 'not known' }}</td>
            <td>
              {{ writeThicknesses(g.thicknessesMm, units)
              }}<span v-if="g.sheets.length === 0" class="quiet"> not for sale</span>
            </td>
            <td class="n">{{ (g.pricePerM3 / amountFactor('volume-price', units)).toFixed(isInch(units) ? 2 : 0) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section class="sheet">
      <div class="head">
        <h2>On the rack</h2>
        <button
          type="button"
          class="plain-button main"
          :disabled="grades.length === 0"
          @click="stock = newStock(grades, units)"
        >
          New piece
        </button>
      </div>
      <table class="ruled-table" v-if="pieces.length > 0">
        <thead>
          <tr>
            <th>Piece</th>
            <th>Kind</th>
            <th>Grade</th>
            <th>Usable</th>
            <th class="n">Count</th>
            <th>Cut-outs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in pieces" :key="s.id">
            <th scope="row">
              <button type="button" class="thing-name" @click="stock = s">{{ s.name }}</button>
            </th>
            <td>{{ s.kind }}</td>
            <td>{{ nameOf(s.gradeId) }}</td>
            <td>{{ sheetSize(s, s.thicknessMm, units) }}</td>
            <td class="n">{{ s.count }}</td>
            <td>{{ s.cutOuts.length === 0 ? 'none' : s.cutOuts.length }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="quiet">
        Nothing yet. Opened sheets, mattresses, toppers and remnants noted here are offered wherever a job uses their
        grade.
      </p>
    </section>
    <GradeDialog v-if="grade" :grade="grade" :is-new="!grades.some((g) => g.id === grade!.id)" @close="grade = null" />
    <StockDialog v-if="stock" :piece="stock" :is-new="!pieces.some((s) => s.id === stock!.id)" @close="stock = null" />
    <ImportDialog v-if="imported" :file="imported" @close="imported = null" />
  </ShopPage>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin-bottom: 6px;
}
</style>
