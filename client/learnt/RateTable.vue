<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { WorkKind } from '../../contract/index.ts'
import { ratedIn, ratesOf, WORK } from '../../core/making/index.ts'
import { trimmed } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { vTyped } from '../ui/v-typed.ts'

/** Minutes for a unit of each kind of work, as the shop sets them; what was learnt comes on top. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const learnt = computed(() => ratesOf(shop.workshop))
const rated = (kind: WorkKind) => ratedIn(kind, shop.lists?.settings.units ?? 'mm')
const shown = (kind: WorkKind, minutes: number) => trimmed(minutes * rated(kind).ofStored, 2)
function set(kind: WorkKind, event: Event): void {
  const text = (event.target as HTMLInputElement).value.trim()
  const n = text === '' ? Number.NaN : Number(text.replace(',', '.'))
  const minutes = n / rated(kind).ofStored
  if (Number.isNaN(n) || n < 0 || minutes > 600)
    return void (failed.value = phrase`${WORK[kind].label}: minutes from 0 to 600 are wanted.`)
  void attempt(async () => {
    const { settings } = shop.lists!
    await shop.changeSettings({
      ...settings,
      workshop: { ...settings.workshop, rates: { ...settings.workshop.rates, [kind]: minutes } },
    })
  })
}
</script>

<template>
  <section class="sheet" aria-label="Rates of work">
    <h2>Rates of work</h2>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <table class="ruled-table close-table">
      <thead>
        <tr>
          <th>Work</th>
          <th class="n">Minutes</th>
          <th>for a</th>
          <th class="n">with what was learnt</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="kind in WorkKind.options" :key="kind">
          <th scope="row">{{ WORK[kind].label }}</th>
          <td class="n">
            <input
              class="text"
              v-typed="shown(kind, shop.workshop.rates[kind])"
              inputmode="decimal"
              :aria-label="`Minutes: ${WORK[kind].label}`"
              @change="set(kind, $event)"
            />
          </td>
          <td>{{ rated(kind).per }}</td>
          <td class="n">
            {{ Math.abs(learnt[kind] - shop.workshop.rates[kind]) > 1e-9 ? shown(kind, learnt[kind]) : '' }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
}

input {
  width: 70px;
  min-height: var(--small-target);
  text-align: right;
}

.failed {
  color: var(--rust);
}
</style>
