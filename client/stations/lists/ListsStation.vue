<script setup lang="ts">
import { computed, ref } from 'vue'
import { instanceOf, lowerBound } from '../../../core/lay/index.ts'
import { blockLabels, buyingList, coverLabels, keptList } from '../../../core/lists/index.ts'
import { partName } from '../../../core/job/index.ts'
import { cushionCount } from '../../../core/planned/index.ts'
import { shortfallWords } from '../../../core/cloth/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LeftOut from '../../ui/LeftOut.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import CoverLabels from './CoverLabels.vue'
import LabelSheets from './LabelSheets.vue'
import CutTable from './CutTable.vue'
import QrCode from './QrCode.vue'
import StockTaking from './StockTaking.vue'
import StripRows from './StripRows.vue'
import { useAddress } from './use-address.ts'

const jobs = useJob()
const lays = useLay()
const shop = useShop()
const { address, isReachable } = useAddress()
const job = computed(() => jobs.job!)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
/** Without a lay the cloth is only known from below; kept off the way of every keystroke elsewhere. */
const lengths = computed(() =>
  lays.cloths.map(({ problem }, i) => ({
    laidMm: lays.taken[i]?.laidMm ?? null,
    boundMm: lays.taken[i] ? 0 : lowerBound(instanceOf(problem)).length,
    share: lays.taken[i]?.share ?? 1,
  })),
)
const buying = computed(() => plan.value && buyingList(job.value, plan.value, lengths.value, shop.lists?.trims ?? []))
/** The part whose lists are shown or printed alone; empty: all of them. */
const wantedPart = ref('')
const choices = computed(() => [
  { value: '', label: 'All' },
  ...(plan.value?.worked ?? []).map(({ part }) => ({ value: part.letter, label: partName(part) })),
])
const only = computed(() => (choices.value.some((c) => c.value === wantedPart.value) ? wantedPart.value : ''))
const cutLines = computed(() => plan.value?.cutList.filter((l) => only.value === '' || l.part === only.value) ?? [])
const kept = computed(() => (plan.value ? keptList(job.value, plan.value) : []))
const labels = computed(() => {
  const designs = plan.value?.designs ?? []
  return (plan.value?.cutting ? blockLabels(plan.value.cutting, job.value) : []).filter(
    (l) => only.value === '' || designs[l.design]!.part.letter === only.value,
  )
})
const covers = computed(() =>
  plan.value ? coverLabels(plan.value, jobs.whole!).filter((l) => only.value === '' || l.part === only.value) : [],
)
const print = () => window.print()
</script>

<template>
  <section v-if="plan && buying" class="lists">
    <div class="sheet paper" tabindex="0" role="region" aria-label="Cut list">
      <div class="head">
        <div>
          <h2>{{ job.ticket }} {{ job.title }}: cut list</h2>
          <p class="quiet">
            {{ cushionCount(plan) }} {{ cushionCount(plan) === 1 ? 'cushion' : 'cushions' }}, every size is
            <b>cut</b> unless it says net. {{ job.customer }}
          </p>
        </div>
        <button type="button" class="plain-button no-print" @click="print">Print lists and labels</button>
      </div>
      <LeftOut />
      <ChoiceButtons
        v-if="choices.length > 2"
        class="no-print"
        :model-value="only"
        :choices="choices"
        name="Lists of"
        @update:model-value="wantedPart = $event"
      />
      <CutTable :lines="cutLines" :units="job.units" />
      <section v-if="kept.length > 0">
        <h2>Stays</h2>
        <table class="ruled-table">
          <tbody>
            <tr v-for="k in kept" :key="k.what">
              <th scope="row">{{ k.what }}</th>
              <td class="n">{{ k.count ?? '' }}</td>
              <td>{{ k.note }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <StripRows class="no-print" />
      <section v-if="labels.length > 0" class="block-labels">
        <h2>Block labels</h2>
        <p class="quiet">
          Cut apart, one on the top face of each block, its arrow to the front.
          <template v-if="!isReachable"
            >The codes open this job on this machine; phones reach it once the shop is open to the network
            (Records).</template
          >
        </p>
        <ul class="labels labels-to-cut">
          <li v-for="l in labels" :key="l.block">
            <QrCode :text="address('filling')" />
            <b>{{ job.ticket }} block {{ l.block }}</b> <span class="arrow">↓ front</span>
            <div>{{ l.size }}</div>
            <div>{{ l.layers }}</div>
            <div v-if="l.parts">{{ l.parts }}</div>
            <div v-if="l.note">{{ l.note }}</div>
            <div class="quiet">{{ job.customer }}</div>
          </li>
        </ul>
      </section>
      <CoverLabels :labels="covers" />
      <LabelSheets v-if="labels.length + covers.length > 0" :blocks="labels" :covers="covers" />
    </div>
    <div class="sheet paper" tabindex="0" role="region" aria-label="Buying list">
      <h2>Buying list</h2>
      <p v-if="!buying.hasLay" class="quiet">
        {{
          lays.failure
            ? lays.shortfall
              ? `${lays.chosen!.cloth.name} is not enough: ${shortfallWords(lays.shortfall, job.units)}.`
              : 'These pieces cannot be laid on this cloth: see the lay station.'
            : 'The cloth waits for its lay.'
        }}
        What stands here is the least it can be.
      </p>
      <table class="ruled-table">
        <thead>
          <tr>
            <th>What</th>
            <th>How much</th>
            <th class="n">Cost</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(l, i) in buying.lines" :key="i">
            <th scope="row">{{ l.what }}</th>
            <td><FigureValue :figure="l.amount" bare /></td>
            <td class="n">
              <FigureValue v-if="l.cost" :figure="l.cost" />
              <span v-else class="quiet">{{ l.from === 'trims' ? 'no price' : 'in the shop' }}</span>
            </td>
          </tr>
          <tr class="total">
            <th scope="row">Materials</th>
            <td />
            <td class="n"><FigureValue :figure="buying.total" /></td>
          </tr>
        </tbody>
      </table>
      <StockTaking :plan="plan" :buying="buying" />
      <WarningList :warnings="plan.warnings.filter((w) => w.station === 'lists')" />
    </div>
  </section>
  <NotYet v-else />
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 14px;
  height: 100%;
}

.paper {
  padding: 16px 18px;
  overflow-y: auto;
}

.head {
  display: flex;
  justify-content: space-between;
  align-items: start;
}

.head p {
  margin: 2px 0 10px;
}

table {
  margin-bottom: 14px;
}

h2 {
  font-size: 20px;
}

.arrow {
  margin-left: 8px;
}

@media print {
  .lists {
    display: block;
  }

  .paper {
    break-inside: avoid;
    overflow: visible;
  }
}

@media (max-width: 860px) {
  .lists {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }

  .head {
    flex-wrap: wrap;
    gap: 6px;
  }
}
</style>
