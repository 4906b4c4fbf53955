<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { wantedField } from '../../stores/wanted-field.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import DesignChoice from '../../ui/DesignChoice.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import FibreDrawing from './foam/FibreDrawing.vue'
import LoadFields from './foam/LoadFields.vue'
import { FILLING_PAGES, pageOf, type Page } from './pages.ts'

const jobs = useJob()
const design = useDesign()
const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
const isFoam = computed(() => jobs.job?.filling.kind === 'foam')
const page = ref<Page>('foam')
watch(wantedField, (field) => (page.value = pageOf(field) ?? page.value), { immediate: true })
const shown = computed(() => FILLING_PAGES.find((p) => p.page === (isFoam.value ? page.value : 'carries'))!)
const choices = FILLING_PAGES.map((p) => ({ value: p.page, label: p.label }))
/** What stops the plan may be mended here, though there is nothing to draw. */
const isStoppedHere = computed(() => jobs.warningsAt('filling').some((w) => w.level === 'stop'))
</script>

<template>
  <section class="station">
    <template v-if="plan && design.chosen">
      <div class="drawing sheet"><component :is="isFoam ? shown.drawing : FibreDrawing" /></div>
      <div class="figures sheet">
        <ChoiceButtons
          v-if="isFoam"
          :model-value="page"
          :choices="choices"
          name="Page of the filling"
          class="no-print"
          @update:model-value="page = $event"
        />
        <DesignChoice />
        <component :is="shown.fields" />
        <WarningList :warnings="jobs.warningsAt('filling')" />
      </div>
    </template>
    <template v-else>
      <NotYet />
      <div v-if="isStoppedHere" class="figures sheet"><LoadFields /></div>
    </template>
  </section>
</template>

<style scoped>
/* On a phone section and chart stand below each other, each as high as it needs. */
@media (max-width: 760px) {
  .station > .drawing {
    height: auto;
  }

  .drawing :deep(.section),
  .drawing :deep(.drawing-place) {
    flex: none;
    height: 330px;
  }

  .drawing :deep(.chart) {
    flex: none;
    height: 200px;
  }
}
</style>
