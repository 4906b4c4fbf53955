<script setup lang="ts">
import { computed } from 'vue'
import type { Papers } from '../../../contract/index.ts'
import { cushionKey } from '../../../core/job/index.ts'
import { useWorkOrder } from './use-work-order.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** Foam batch, cloth batch and fire certificate of every cushion. */
const { jobs, plan } = useWorkOrder()
const NONE: Papers = { foamBatch: '', clothBatch: '', certificate: '' }
/** Under which key the papers of each cushion are kept, and what it is called. */
const cushions = computed(() =>
  (plan.value?.worked ?? []).flatMap(({ part, prefix, cushions: own }) =>
    own.inOrder.map((_, i) => ({ key: cushionKey(part.letter, i), number: `${prefix}${i + 1}` })),
  ),
)
const numbers = computed(() => cushions.value.map((c) => c.key))
const papers = computed(() => jobs.job!.making.papers)
const FIELDS = [
  ['foamBatch', 'Foam batch', 80],
  ['clothBatch', 'Cloth batch', 80],
  ['certificate', 'Fire certificate', 120],
] as const
function set(number: string, key: keyof Papers, text: string, toAll: boolean): void {
  const numbered = toAll ? numbers.value : [number]
  jobs.edit({
    says: 'Papers',
    apply: (j) => ({
      ...j,
      making: {
        ...j.making,
        papers: {
          ...j.making.papers,
          ...Object.fromEntries(numbered.map((n) => [n, { ...(j.making.papers[n] ?? NONE), [key]: text }])),
        },
      },
    }),
  })
}
/** The first cushion's papers for all that have none of their own. */
const alike = () =>
  FIELDS.forEach(([key]) => set(numbers.value[0]!, key, papers.value[numbers.value[0]!]?.[key] ?? '', true))
</script>

<template>
  <section aria-label="Papers">
    <h3>Batches and certificates</h3>
    <p class="quiet">
      This program certifies nothing: national rules for seating, beds, public places and boats come first.
    </p>
    <table class="ruled-table close-table">
      <thead>
        <tr>
          <th>Cushion</th>
          <th v-for="[key, label] in FIELDS" :key="key">{{ label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ key: n, number } in cushions" :key="n">
          <th scope="row">{{ number }}</th>
          <td v-for="[key, label, most] in FIELDS" :key="key">
            <input
              class="text"
              v-typed="papers[n]?.[key] ?? ''"
              :maxlength="most"
              :aria-label="`${label} of cushion ${number}`"
              @change="set(n, key, ($event.target as HTMLInputElement).value, false)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <button
      v-if="numbers.length > 1"
      type="button"
      class="plain-button"
      :disabled="!papers[numbers[0]!]"
      @click="alike"
    >
      All as the first
    </button>
  </section>
</template>

<style scoped>
td input {
  width: 100%;
  min-width: 80px;
}
</style>
