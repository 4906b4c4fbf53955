<script setup lang="ts">
import { computed, ref } from 'vue'
import { noteWords, seamLength } from '../../../core/cover/index.ts'
import { orderFaults } from '../../../core/making/index.ts'
import { formatLengthWithUnit, unitName } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { useSeam } from '../../stores/seam.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import DesignChoice from '../../ui/DesignChoice.vue'
import FigureValue from '../../ui/FigureValue.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import FlatPanels from './FlatPanels.vue'
import PanelDrawing from './PanelDrawing.vue'

const jobs = useJob()
const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
const lit = useSeam()
const design = useDesign()
const chosen = computed(() => design.chosen)
const view = ref<'together' | 'each'>('together')
const which = ref<'cover' | 'liner'>('cover')
const cover = computed(() =>
  which.value === 'liner' && chosen.value?.liner ? chosen.value.liner : (chosen.value?.cover ?? null),
)
const strips = computed(() => (which.value === 'cover' ? design.strips.flatMap((s) => s.cut) : []))
const seams = computed(() => cover.value?.seams.map((s) => ({ ...s, lengthMm: seamLength(s) })) ?? [])
const litPanels = computed(
  () =>
    new Set(
      cover.value?.seams
        .find((s) => s.letter === lit.letter)
        ?.pairs.flatMap((p) => [`${p.a.panel}/${p.a.edge}`, `${p.b.panel}/${p.b.edge}`]) ?? [],
    ),
)
const VIEWS = [
  { value: 'together', label: 'Together' },
  { value: 'each', label: 'Each by itself' },
] as const
const WHICH = [
  { value: 'cover', label: 'Cover' },
  { value: 'liner', label: 'Liner' },
] as const
const cutWay = computed(() => {
  const choice = cover.value?.piping?.choice
  return choice && choice.kind !== 'ready-made' ? choice.cut : ''
})
const unit = computed(() => jobs.job!.units)
/** The sixth check is of the ticket: its covers, liners, boards and fillings in one order. */
const made = computed(() => (jobs.plan?.kind === 'worked' ? orderFaults(jobs.whole!, jobs.plan) : []))
</script>

<template>
  <section class="station">
    <template v-if="plan && chosen && cover">
      <div class="drawing sheet panels" tabindex="0" role="region" aria-label="Panels, drawn to scale">
        <div class="top no-print">
          <p class="key">
            <span class="sew" /> net <span class="cut" /> cut
            <template v-if="view === 'each'"><span class="notch" /> notch</template
            ><template v-else>· point at a seam to see both its sides</template>
          </p>
          <ChoiceButtons :model-value="view" :choices="VIEWS" name="Panels" @update:model-value="view = $event" />
        </div>
        <FlatPanels v-if="view === 'together'" class="flat" :cover="cover" />
        <div v-else class="grid">
          <PanelDrawing
            v-for="panel in cover.panels"
            :key="panel.id"
            :panel="panel"
            :count="chosen.design.count * panel.times"
            :notch-mm="plan.allowances.notchMm.value"
            :lit="litPanels"
          />
        </div>
      </div>
      <div class="figures sheet">
        <DesignChoice />
        <div v-if="chosen.liner" class="no-print">
          <ChoiceButtons :model-value="which" :choices="WHICH" name="Panels of" @update:model-value="which = $event" />
        </div>
        <h2>Sizes of each piece</h2>
        <table class="sizes">
          <thead>
            <tr>
              <th>Piece</th>
              <th>Net, {{ unitName(unit) }}</th>
              <th>Cut, {{ unitName(unit) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in [...cover.panels, ...cover.layers]" :key="p.id">
              <th scope="row">{{ p.name }}</th>
              <td>
                <FigureValue :figure="p.figures.finishedWidth" bare unitless /> x
                <FigureValue :figure="p.figures.finishedHeight" bare unitless />
              </td>
              <td>
                <FigureValue :figure="p.figures.cutWidth" bare unitless /> x
                <FigureValue :figure="p.figures.cutHeight" bare unitless />
              </td>
            </tr>
            <tr v-for="strip in strips" :key="strip.id">
              <th scope="row">Piping strip, {{ cutWay }}</th>
              <td />
              <td>
                <FigureValue :figure="strip.sewn" bare unitless /> x
                <FigureValue v-if="cover.piping?.stripWidth" :figure="cover.piping.stripWidth" bare unitless />
              </td>
            </tr>
          </tbody>
        </table>
        <h2>Seams, in sewing order</h2>
        <ol class="seams">
          <li v-for="s in seams" :key="s.letter">
            <button
              type="button"
              :class="{ lit: lit.letter === s.letter }"
              @mouseenter="lit.letter = s.letter"
              @mouseleave="lit.letter = null"
              @focus="lit.letter = s.letter"
              @blur="lit.letter = null"
            >
              <b>{{ s.letter }}</b> {{ s.name }}
              <span v-if="s.lengthMm > 0" class="quiet">{{ formatLengthWithUnit(s.lengthMm, unit) }}</span>
            </button>
          </li>
        </ol>
        <p v-for="n in cover.notes" :key="n.code" class="quiet note">{{ noteWords(n, unit) }}</p>
        <h2>Checks</h2>
        <ul class="checks">
          <li v-for="c in chosen.checks" :key="c.name" :class="c.faults.length === 0 ? 'right' : 'wrong'">
            <b>{{ c.faults.length === 0 ? 'right' : 'wrong' }}</b>
            <span
              >{{ c.name }} <span class="quiet">({{ c.asks }})</span
              ><template v-for="f in c.faults" :key="f"><br />{{ f }}</template></span
            >
          </li>
          <li :class="made.length === 0 ? 'right' : 'wrong'">
            <b>{{ made.length === 0 ? 'right' : 'wrong' }}</b>
            <span
              >it can be made in this order
              <span class="quiet">(the work order of the whole ticket, played act by act on its covers)</span
              ><template v-for="f in made" :key="f"><br />{{ f }}</template></span
            >
          </li>
        </ul>
        <WarningList :warnings="jobs.warningsAt('pieces')" />
      </div>
    </template>
    <NotYet v-else />
  </section>
</template>

<style scoped>
.panels {
  overflow-y: auto !important;
  display: flex;
  flex-direction: column;
}

.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 8px 10px 0 0;
}

.flat {
  flex: 1;
  min-height: 0;
}

.note {
  margin: 0;
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
  min-height: var(--small-target);
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
