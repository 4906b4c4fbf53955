<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { shortfallWords } from '../../../core/cloth/index.ts'
import { formatLengthWithUnit, trimmed } from '../../../core/units/index.ts'
import { wasteWords } from '../../job/key-figures.ts'
import { isProven } from '../../../core/lay/index.ts'
import { useJob } from '../../stores/job.ts'
import { useJoint } from '../../stores/joint/index.ts'
import { useLay } from '../../stores/lay/index.ts'
import LeftOut from '../../ui/LeftOut.vue'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import ChalkPanel from './ChalkPanel.vue'
import EasierLay from './EasierLay.vue'
import { BOUND_WORDS } from './bound-words.ts'
import { layFailureWords } from './failure-words.ts'
import { faultWords } from './fault-words.ts'
import LayDrawing from './LayDrawing.vue'
import { LAY_PAGES, type Page } from './pages.ts'
import StripsInLay from './StripsInLay.vue'
import WhoSearches from './WhoSearches.vue'

const SEARCH_SECONDS = 10
const COMPLETE_SECONDS = 5

const jobs = useJob()
const lays = useLay()
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const joint = useJoint()
/** What lies on the table: of this ticket, or of all that are cut together. */
const table = computed(() => joint.table)
const lay = computed(() => table.value?.lay ?? null)
const marked = ref<string | null>(null)
/** The corner that is being chalked. */
const point = shallowRef<{ readonly fromSelvedge: number; readonly fromStart: number } | null>(null)
const page = ref<Page>('cloth')
const shown = computed(() => LAY_PAGES.find((p) => p.page === page.value)!)
const unit = computed(() => jobs.job!.units)
const CLOTHS = computed(() => lays.cloths.map((c, i) => ({ value: String(i), label: c.cloth.name })))
/** Strips of one kind are told once. */
const faults = computed(() => [...new Set(lays.faults.map((f) => faultWords(f, lays.chosen!, unit.value)))])
const MOST_FAULTS = 5
const isShortest = computed(() => lay.value !== null && isProven(lay.value))
const gapWords = computed(() => {
  if (!lay.value) return ''
  const gap = (lay.value.length / Math.max(1e-9, lay.value.bound) - 1) * 100
  return gap < 0.01 ? 'proven shortest' : phrase`at most ${trimmed(gap, 1)} % above it`
})
</script>

<template>
  <section v-if="plan" class="lay-station" :class="{ wide: shown.isWide }">
    <div class="roll sheet">
      <LeftOut />
      <LayDrawing
        v-if="table"
        :plan="table.plan"
        :lay="table.lay"
        :is-fixed="table.isJoint"
        :marked="marked"
        :point="point"
        @mark="(p) => (marked = p)"
      />
      <div v-else class="empty">
        <div v-if="lays.failure" class="fault">
          <p role="alert">
            {{ layFailureWords(lays.failure, lays.chosen!, unit)
            }}<template v-if="lays.shortfall">
              {{ lays.chosen!.cloth.name }} is not enough: {{ shortfallWords(lays.shortfall, unit) }}.</template
            >
          </p>
          <button v-if="page !== 'remnant'" type="button" class="plain-button main" @click="page = 'remnant'">
            What would do?
          </button>
        </div>
        <p v-else>Planning the first lay …</p>
      </div>
    </div>
    <div class="sheet panel">
      <div class="head">
        <h2 v-if="table">
          {{ formatLengthWithUnit(table.lay.length, unit) }},
          {{ wasteWords(table.plan.pieces, table.lay.length, table.plan.laidOn.widthMm) }} waste
        </h2>
        <h2 v-else>No lay yet</h2>
        <div class="buttons no-print" data-field="lay.plan">
          <button v-if="lays.running" type="button" class="plain-button main" @click="lays.stop()">
            Stop, {{ trimmed(lays.seconds, 1) }} s
          </button>
          <template v-else-if="lays.byHand">
            <button
              type="button"
              class="plain-button"
              :disabled="lays.locked.size === 0"
              @click="lays.complete(COMPLETE_SECONDS)"
            >
              Lay the rest
            </button>
            <button type="button" class="plain-button" @click="lays.forgetHand()">Back to the planner's</button>
          </template>
          <button
            v-else-if="!table?.isJoint"
            type="button"
            class="plain-button"
            :disabled="lays.failure !== null || isShortest"
            @click="lays.search(SEARCH_SECONDS, 1 + Math.round(lay?.seconds ?? 0))"
          >
            Search {{ SEARCH_SECONDS }} s more
          </button>
          <button
            v-if="!lays.byHand && !joint.trial"
            type="button"
            class="plain-button"
            :class="{ main: lays.current && !lays.isKept }"
            :disabled="!lays.current || lays.isKept"
            @click="lays.keep()"
          >
            {{ lays.isKept ? 'Kept with the job' : 'Keep this lay' }}
          </button>
        </div>
      </div>
      <p v-if="lay && table?.isJoint" class="quiet bound">
        {{
          joint.trial
            ? 'Tried, not kept:'
            : `Cut together with ${joint.joint?.others.map((o) => o.ticket).join(', ')}, kept in each:`
        }}
        no lay of all can be shorter than {{ formatLengthWithUnit(lay.bound, unit) }}; this one is {{ gapWords }}.
      </p>
      <p v-else-if="lay && lays.byHand" class="quiet bound">
        Chosen or changed by hand, {{ lays.locked.size === 0 ? 'nothing locked' : `${lays.locked.size} locked` }}. No
        lay can be shorter than {{ formatLengthWithUnit(lay.bound, unit) }}.
      </p>
      <p v-else-if="lay" class="quiet bound">
        No lay can be shorter than {{ formatLengthWithUnit(lay.bound, unit)
        }}{{ lays.boundName ? BOUND_WORDS[lays.boundName] : '' }}; this one is {{ gapWords }}. Pieces can be dragged.
      </p>
      <WhoSearches v-if="!table?.isJoint" />
      <StripsInLay v-if="!table?.isJoint" />
      <EasierLay v-if="!table?.isJoint" />
      <ul v-if="faults.length > 0" class="faults" role="alert">
        <li v-for="says in faults.slice(0, MOST_FAULTS)" :key="says">{{ says }}</li>
        <li v-if="faults.length > MOST_FAULTS">and {{ faults.length - MOST_FAULTS }} more.</li>
      </ul>
      <div v-if="lays.cloths.length > 1" class="field-row">
        <span class="label">Lay of</span>
        <div>
          <ChoiceButtons
            :model-value="String(lays.index)"
            :choices="CLOTHS"
            name="Lay of"
            @update:model-value="(i) => (lays.wanted = Number(i))"
          />
        </div>
      </div>
      <ChoiceButtons
        :model-value="page"
        :choices="LAY_PAGES.map((p) => ({ value: p.page, label: p.label }))"
        name="Page of the lay"
        class="no-print"
        @update:model-value="page = $event"
      />
      <component :is="shown.fields" />
      <WarningList :warnings="plan.warnings.filter((w) => w.station === 'lay')" />
    </div>
    <div v-if="!shown.isWide" class="sheet panel" tabindex="0" role="region" aria-label="Row preview and chalk list">
      <ChalkPanel
        v-if="table"
        :plan="table.plan"
        :lay="table.lay"
        :marked="marked"
        @mark="(p) => (marked = p)"
        @point="(c) => (point = c)"
      />
    </div>
  </section>
  <NotYet v-else />
</template>

<style scoped>
.lay-station {
  display: grid;
  grid-template: minmax(0, 55fr) minmax(0, 45fr) / minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
  height: 100%;
}

.wide {
  grid-template: minmax(0, 38fr) minmax(0, 62fr) / minmax(0, 1fr);
}

.roll {
  grid-column: 1 / -1;
  min-height: 0;
}

.panel > * {
  flex-shrink: 0;
}

.panel {
  overflow-y: auto;
  padding: 10px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}

.buttons {
  display: flex;
  gap: 8px;
}

.bound {
  margin: 0;
  font-size: 15px;
}

.empty {
  display: grid;
  place-items: center;
  height: 100%;
}

.fault {
  max-width: 600px;
  text-align: center;
}

.fault p {
  color: var(--rust);
}

.faults {
  margin: 0;
  padding: 6px 10px 6px 26px;
  background: var(--rust-wash);
  color: var(--rust);
}

@media (max-width: 860px) {
  .lay-station,
  .wide {
    display: flex;
    flex-direction: column;
    height: auto;
  }

  .roll {
    height: 46vh;
  }

  .head {
    flex-wrap: wrap;
  }
}
</style>
