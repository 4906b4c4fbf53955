<script setup lang="ts">
import { computed, ref } from 'vue'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import NotYet from '../../ui/NotYet.vue'
import CushionFields from './CushionFields.vue'
import DeviationChart from './DeviationChart.vue'
import FitRow from './FitRow.vue'
import JobFields from './JobFields.vue'
import PhotoPage from './PhotoPage.vue'

const jobs = useJob()
const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
const whole = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const wanted = ref(0)
const index = computed(() => Math.min(wanted.value, (plan.value?.cushions.count ?? 1) - 1))
const page = ref<'cushion' | 'job' | 'photos'>('cushion')
const PAGES = [
  { value: 'cushion', label: 'Cushion' },
  { value: 'job', label: 'The job' },
  { value: 'photos', label: 'Photos' },
] as const
</script>

<template>
  <section v-if="plan" class="station">
    <div class="drawing sheet">
      <FitRow :plan="plan" :chosen="index" @choose="(i) => ((wanted = i), (page = 'cushion'))" />
      <DeviationChart :plan="plan" />
    </div>
    <div class="figures sheet">
      <div class="fields-in-line">
        <ChoiceButtons
          :model-value="page"
          :choices="PAGES"
          name="Page of the fit"
          class="no-print"
          @update:model-value="page = $event"
        />
        <RouterLink to="/learnt" class="plain-button no-print">What the shop learns</RouterLink>
      </div>
      <CushionFields v-if="page === 'cushion'" :plan="plan" :index="index" />
      <JobFields v-else-if="page === 'job' && whole" :plan="whole" />
      <PhotoPage v-else />
    </div>
  </section>
  <NotYet v-else />
</template>
