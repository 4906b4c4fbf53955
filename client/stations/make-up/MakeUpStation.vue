<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import LessonNotes from '../../job/LessonNotes.vue'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { wantedField } from '../../stores/wanted-field.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import DesignChoice from '../../ui/DesignChoice.vue'
import NotYet from '../../ui/NotYet.vue'
import WarningList from '../../ui/WarningList.vue'
import MakeUpDrawing from './MakeUpDrawing.vue'
import { MAKE_UP_PAGES, pageOf, type Page } from './pages.ts'

/** Drawn in space only when it is asked for. */
const MadeUpView = defineAsyncComponent(() => import('./made-up/MadeUpView.vue'))

const jobs = useJob()
const design = useDesign()
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const page = ref<Page>('build')
const inSpace = ref(false)
watch(wantedField, (field) => (page.value = pageOf(field) ?? page.value), { immediate: true })
const fields = computed(() => MAKE_UP_PAGES.find((p) => p.page === (stays.value ? 'build' : page.value))!.fields)
const stays = computed(() => jobs.job?.work.kind === 'filling-only')
const choices = computed(() =>
  MAKE_UP_PAGES.filter((p) => !stays.value || p.page === 'build').map((p) => ({ value: p.page, label: p.label })),
)
/** A make-up that the cushion cannot take is mended here. */
const isRefused = computed(() => jobs.plan?.warnings.some((w) => w.code === 'make-up-refused') ?? false)
const VIEWS = [
  { value: 'one', label: 'One cushion' },
  { value: 'all', label: 'All, standing' },
] as const
</script>

<template>
  <section class="station">
    <template v-if="(plan && design.chosen) || isRefused">
      <div class="drawing sheet">
        <template v-if="plan && design.chosen">
          <ChoiceButtons
            class="views no-print"
            :model-value="inSpace ? 'all' : 'one'"
            :choices="VIEWS"
            name="View"
            @update:model-value="(v) => (inSpace = v === 'all')"
          />
          <Suspense v-if="inSpace">
            <MadeUpView />
            <template #fallback><p class="loading">Setting the cushions up …</p></template>
          </Suspense>
          <MakeUpDrawing v-else />
        </template>
        <NotYet v-else />
      </div>
      <div class="figures sheet">
        <p v-if="stays">The cover stays. What it is and where it opens tells how the new filling goes in.</p>
        <ChoiceButtons
          v-else
          :model-value="page"
          :choices="choices"
          name="Page of the make-up"
          class="no-print pages"
          @update:model-value="page = $event"
        />
        <DesignChoice />
        <component :is="fields" />
        <LessonNotes />
        <WarningList v-if="plan" :warnings="plan.warnings.filter((w) => w.station === 'make-up')" />
      </div>
    </template>
    <NotYet v-else />
  </section>
</template>

<style scoped>
.drawing {
  position: relative;
}

.views {
  position: absolute;
  top: 8px;
  right: 10px;
  z-index: 2;
}

.pages :deep(label) {
  padding: 2px 8px;
}

.loading {
  padding: 60px 20px;
}
</style>
