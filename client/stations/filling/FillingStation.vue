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
import InsertDrawing from './foam/InsertDrawing.vue'
import SectionDrawing from './foam/SectionDrawing.vue'
import UnknownFoam from './foam/UnknownFoam.vue'
import LoadFields from './foam/LoadFields.vue'
import { pageOf, pagesFor, type Page } from './pages.ts'

const jobs = useJob()
const design = useDesign()
const plan = computed(() => (jobs.part?.kind === 'worked' ? jobs.part : null))
const kind = computed(() => jobs.job?.filling.kind)
const isFoam = computed(() => kind.value === 'foam')
const pages = computed(() => (jobs.job ? pagesFor(jobs.job.filling, jobs.job.work.kind) : []))
const page = ref<Page>('foam')
watch(wantedField, (field) => (page.value = pageOf(field) ?? page.value), { immediate: true })
const shown = computed(() => pages.value.find((p) => p.page === page.value) ?? pages.value[0]!)
const choices = computed(() => pages.value.map((p) => ({ value: p.page, label: p.label })))
/** What stands in the drawing: a foam that nobody knows has no section. */
const drawing = computed(() => {
  const filling = design.chosen?.filling
  if (filling?.kind === 'loose-fibre') return FibreDrawing
  if (filling?.kind === 'insert') return InsertDrawing
  return shown.value.drawing === SectionDrawing && filling?.verdict === null ? UnknownFoam : shown.value.drawing
})
/** What stops the plan may be mended here, though there is nothing to draw. */
const isStoppedHere = computed(() => jobs.warningsAt('filling').some((w) => w.level === 'stop'))
</script>

<template>
  <section class="station">
    <template v-if="plan && design.chosen">
      <div class="drawing sheet"><component :is="drawing" /></div>
      <div class="figures sheet">
        <ChoiceButtons
          v-if="isFoam"
          :model-value="shown.page"
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
@media (max-width: 860px) {
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

  .drawing :deep(.half) {
    flex: none;
    height: 250px;
  }

  .drawing :deep(.canvas) {
    flex: none;
    height: 300px;
  }
}
</style>
