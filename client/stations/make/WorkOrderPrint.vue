<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { settingsWords } from '../../../core/making/index.ts'
import { sayFigure } from '../../../core/working/index.ts'
import type { WorkedPlan } from '../../../core/planned/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import GroupPictures from './GroupPictures.vue'
import { GROUP_NAMES, groupsOf } from './step-groups.ts'
import type { StepRow } from './use-work-order.ts'
import { wholeDay } from '../../ui/manner.ts'

/** The whole work order on paper, group by group, with boxes to tick. */
const props = defineProps<{ rows: readonly StepRow[]; heading: string; plan: WorkedPlan }>()
const jobs = useJob()
const shop = useShop()
const groups = computed(() => groupsOf(props.rows))
const settings = ({ step }: StepRow) =>
  step.sewing ? settingsWords(step.sewing, shop.workshop.machineCards, jobs.whole!.units) : []
const about = computed(() =>
  [
    jobs.whole!.customer,
    jobs.whole!.terms.dueOn ? phrase`due ${wholeDay(jobs.whole!.terms.dueOn)}` : '',
    phrase`revision ${jobs.revision}`,
  ].filter((w) => w !== ''),
)
</script>

<template>
  <div class="print-only">
    <h1>{{ heading }}</h1>
    <p class="quiet">{{ about.join(' · ') }}</p>
    <section v-for="g in groups" :key="g.part">
      <h2>{{ GROUP_NAMES[g.part] }}</h2>
      <GroupPictures :part="g.part" :plan="plan" />
      <ol>
        <li v-for="r in g.rows" :key="r.step.id">
          <span class="box">{{ r.record.doneAt ? '✓' : '' }}</span>
          <div>
            <b>{{ r.step.title }}</b> <span class="quiet">{{ sayFigure(r.minutes, 'mm') }}</span><br
              v-if="r.step.gate"
            />{{ r.step.gate }} {{ r.step.says.join(' ') }} <i>{{ r.step.checks.join(' ') }}</i>
            <span v-if="settings(r).length > 0" class="quiet"><br />{{ settings(r).join(' · ') }}</span>
          </div>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
}

h2 {
  break-after: avoid;
}

li {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid #bbb;
  break-inside: avoid;
}

.box {
  width: 18px;
  height: 18px;
  border: 1.5px solid #000;
}
</style>
