<script setup lang="ts">
import { ref, watch } from 'vue'
import { wantedField } from '../../stores/wanted-field.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import NotYet from '../../ui/NotYet.vue'
import AlternativesPage from './AlternativesPage.vue'
import ChargeFields from './ChargeFields.vue'
import QuotePaper from './QuotePaper.vue'
import SumPage from './SumPage.vue'
import TermsFields from './TermsFields.vue'
import { storeToRefs } from 'pinia'
import { useQuote } from '../../stores/quote.ts'

const { plan, quote } = storeToRefs(useQuote())
const page = ref<'sum' | 'charges' | 'others' | 'terms'>('sum')
const PAGES = [
  { value: 'sum', label: 'The sum', fields: SumPage },
  { value: 'charges', label: 'Charges', fields: ChargeFields },
  { value: 'others', label: 'Otherwise', fields: AlternativesPage },
  { value: 'terms', label: 'Days', fields: TermsFields },
] as const
watch(wantedField, (field) => field?.startsWith('bill.') && (page.value = 'charges'), { immediate: true })
const print = () => window.print()
</script>

<template>
  <section v-if="plan && quote" class="station">
    <div class="drawing sheet scroll" tabindex="0" role="region" aria-label="The quote on paper"><QuotePaper /></div>
    <div class="figures sheet no-print">
      <div class="fields-in-line">
        <ChoiceButtons
          :model-value="page"
          :choices="PAGES"
          name="Page of the bill"
          @update:model-value="page = $event"
        />
        <button type="button" class="plain-button" @click="print">Print</button>
      </div>
      <component :is="PAGES.find((p) => p.value === page)!.fields" />
    </div>
  </section>
  <NotYet v-else />
</template>

<style scoped>
.scroll {
  overflow-y: auto !important;
}
</style>
