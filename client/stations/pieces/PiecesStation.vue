<script setup lang="ts">
import { computed, ref } from 'vue'
import { stretchLength } from '../../../core/cover/index.ts'
import { formatLengthWithUnit, unitName } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import DesignChoice from '../../ui/DesignChoice.vue'
import FigureValue from '../../ui/FigureValue.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import PanelDrawing from './PanelDrawing.vue'

const jobs = useJob()
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const lit = ref<string | null>(null)
const design = useDesign()
const chosen = computed(() => design.chosen)
const strips = computed(() => plan.value?.cloth.strips[design.index] ?? null)
const seams = computed(() => chosen.value?.cover.seams.map((s) => ({ ...s, lengthMm: s.pairs.reduce((sum, p) => sum + stretchLength(p.a), 0) })) ?? [])
const litPanels = computed(() => new Set(chosen.value?.cover.seams.find((s) => s.letter === lit.value)?.pairs.flatMap((p) => [`${p.a.panel}/${p.a.edge}`, `${p.b.panel}/${p.b.edge}`]) ?? []))
const unit = computed(() => jobs.job!.units)
</script>

<template>
  <section class="station">
    <template v-if="plan && chosen">
      <div class="drawing sheet panels" tabindex="0" role="region" aria-label="Panels, drawn to scale">
        <p class="key no-print"><span class="sew" /> sewing line, net <span class="cut" /> cut line <span class="notch" /> notch, same letter where two edges meet</p>
        <div class="grid">
          <PanelDrawing v-for="panel in chosen.cover.panels" :key="panel.id" :panel="panel" :count="chosen.design.count" :notch-mm="plan.allowances.notchMm.value" :lit="litPanels" />
        </div>
      </div>
      <div class="figures sheet">
        <DesignChoice />
        <h2>Sizes of each piece</h2>
        <table class="sizes">
          <thead><tr><th>Piece</th><th>Net, {{ unitName(unit) }}</th><th>Cut, {{ unitName(unit) }}</th></tr></thead>
          <tbody>
            <tr v-for="p in chosen.cover.panels" :key="p.id">
              <th scope="row">{{ p.name }}</th>
              <td><FigureValue :figure="p.figures.finishedWidth" bare unitless /> x <FigureValue :figure="p.figures.finishedHeight" bare unitless /></td>
              <td><FigureValue :figure="p.figures.cutWidth" bare unitless /> x <FigureValue :figure="p.figures.cutHeight" bare unitless /></td>
            </tr>
            <tr v-if="chosen.cover.piping && strips">
              <th scope="row">Piping strip, {{ chosen.cover.piping.choice.cut }}</th>
              <td />
              <td><FigureValue :figure="strips.each" bare unitless /> x <FigureValue :figure="chosen.cover.piping.stripWidth" bare unitless /></td>
            </tr>
          </tbody>
        </table>
        <h2>Seams, in sewing order</h2>
        <ol class="seams">
          <li v-for="s in seams" :key="s.letter">
            <button type="button" :class="{ lit: lit === s.letter }" @mouseenter="lit = s.letter" @mouseleave="lit = null" @focus="lit = s.letter" @blur="lit = null"><b>{{ s.letter }}</b> {{ s.name }} <span class="quiet">{{ formatLengthWithUnit(s.lengthMm, unit) }}</span></button>
          </li>
        </ol>
        <h2>Checks</h2>
        <ul class="checks">
          <li v-for="c in chosen.checks" :key="c.name" :class="c.faults.length === 0 ? 'right' : 'wrong'">
            <b>{{ c.faults.length === 0 ? 'right' : 'wrong' }}</b>
            <span>{{ c.name }} <span class="quiet">({{ c.asks }})</span><template v-for="f in c.faults" :key="f"><br />{{ f }}</template></span>
          </li>
        </ul>
        <WarningList :warnings="plan.warnings.filter((w) => w.station === 'pieces')" />
      </div>
    </template>
    <NotYet v-else />
  </section>
</template>

<style scoped>
.panels {
  overflow-y: auto !important;
}

.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px;
  padding: 4px 10px 10px;
}

.key {
  margin: 0;
  padding: 10px 16px 2px;
  color: var(--ink-soft);
  font-size: 15px;
}

.key span {
  display: inline-block;
  width: 26px;
  margin: 0 4px 3px 14px;
  border-top: 2px solid var(--ink);
}

.key .sew {
  margin-left: 0;
  border-top: 2px dashed var(--chalk);
}

.key .notch {
  width: 3px;
  height: 10px;
  border: 0;
  background: var(--rust);
}

.sizes th,
.sizes td {
  text-align: left;
  font-weight: 400;
  padding: 0 12px 0 0;
}

.sizes tbody tr {
  border-top: 1px solid var(--paper-edge);
}

.seams {
  list-style: none;
  margin: 0;
  padding: 0;
}

.seams button {
  width: 100%;
  min-height: 32px;
  text-align: left;
  border: 0;
  background: none;
  color: inherit;
  cursor: default;
}

.seams button.lit {
  background: var(--chalk-wash);
}

.checks {
  list-style: none;
  margin: 0;
  padding: 0;
}

.checks li {
  display: grid;
  grid-template-columns: 52px 1fr;
  padding: 3px 0;
}

.right b {
  color: var(--moss);
}

.wrong b {
  color: var(--rust);
}
</style>
