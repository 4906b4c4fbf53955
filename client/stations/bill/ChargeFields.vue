<script setup lang="ts">
import { ref } from 'vue'
import type { Charges } from '../../../contract/index.ts'
import { CHARGE_LABELS, CHARGE_NAMES } from '../../../core/money/index.ts'
import { storeToRefs } from 'pinia'
import { phrase } from '../../../core/language/index.ts'
import { useJob } from '../../stores/job.ts'
import { useQuote } from '../../stores/quote.ts'
import { useShop } from '../../stores/shop.ts'
import { vTyped } from '../../ui/v-typed.ts'
import { money } from '../../ui/manner.ts'

/** What this job charges; what is not set here is the shop's. And lines of its own. */
const jobs = useJob()
const shop = useShop()
const { charges } = storeToRefs(useQuote())
const failed = ref('')
const what = ref('')
const amount = ref('')
const isShare = (name: keyof Charges) => name.endsWith('Share')
const shown = (name: keyof Charges) =>
  isShare(name) ? Number((charges.value[name] * 100).toFixed(3)) : charges.value[name]
const read = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')))
function set(name: keyof Charges, event: Event): void {
  const n = read((event.target as HTMLInputElement).value)
  failed.value = Number.isNaN(n) ? phrase`${CHARGE_LABELS[name]}: a number is wanted.` : ''
  if (Number.isNaN(n)) return
  jobs.edit({
    says: CHARGE_LABELS[name],
    apply: (j) => ({
      ...j,
      terms: { ...j.terms, charges: { ...j.terms.charges, [name]: isShare(name) ? n / 100 : n } },
    }),
  })
}
const own = (name: keyof Charges) => jobs.job!.terms.charges[name] !== undefined
function back(name: keyof Charges): void {
  const { [name]: _, ...rest } = jobs.job!.terms.charges
  jobs.edit({
    says: phrase`${CHARGE_LABELS[name]} as the shop`,
    apply: (j) => ({ ...j, terms: { ...j.terms, charges: rest } }),
  })
}
async function keepForShop(): Promise<void> {
  failed.value = ''
  const { lists } = shop
  if (!lists) return
  try {
    await shop.changeSettings({ ...lists.settings, workshop: { ...lists.settings.workshop, charges: charges.value } })
    jobs.edit({ says: 'Charges kept for the shop', apply: (j) => ({ ...j, terms: { ...j.terms, charges: {} } }) })
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
function add(): void {
  const n = read(amount.value)
  failed.value = Number.isNaN(n)
    ? phrase`"${amount.value}" is no amount of money: type 25 or -10.50.`
    : what.value.trim() === ''
      ? 'The line wants a name.'
      : ''
  if (failed.value) return
  jobs.edit({
    says: phrase`Line: ${what.value}`,
    apply: (j) => ({
      ...j,
      terms: { ...j.terms, extras: [...j.terms.extras, { what: what.value.trim(), amount: n }] },
    }),
  })
  what.value = amount.value = ''
}
const drop = (i: number) =>
  jobs.edit({
    says: 'Line taken out',
    apply: (j) => ({ ...j, terms: { ...j.terms, extras: j.terms.extras.filter((_, n) => n !== i) } }),
  })
</script>

<template>
  <div data-field="bill.charges">
    <div v-for="name in CHARGE_NAMES" :key="name" class="field-row">
      <label :for="`charge-${name}`">{{ CHARGE_LABELS[name] }}</label>
      <div class="fields-in-line">
        <input
          :id="`charge-${name}`"
          class="text number"
          v-typed="shown(name)"
          inputmode="decimal"
          @change="set(name, $event)"
        />
        <span>{{ isShare(name) ? '%' : jobs.job!.currency }}</span>
        <button v-if="own(name)" type="button" class="plain-button" @click="back(name)">As the shop</button>
        <span v-else class="quiet">the shop's</span>
      </div>
    </div>
    <button
      type="button"
      class="plain-button"
      :disabled="Object.keys(jobs.job!.terms.charges).length === 0"
      @click="keepForShop"
    >
      Keep these for the shop
    </button>
  </div>
  <h3>Lines of its own</h3>
  <div data-field="bill.extras">
    <div v-for="(e, i) in jobs.job!.terms.extras" :key="i" class="fields-in-line">
      <span class="what">{{ e.what }}</span><span>{{ money(e.amount, jobs.job!.currency) }}</span
      ><button type="button" class="plain-button" @click="drop(i)">Take out</button>
    </div>
    <div class="fields-in-line">
      <input
        v-model="what"
        class="text"
        maxlength="120"
        aria-label="What is charged"
        placeholder="delivery, discount …"
      />
      <input
        v-model="amount"
        class="text number"
        inputmode="decimal"
        aria-label="Amount of money"
        placeholder="25"
        @keydown.enter="add"
      />
      <button type="button" class="plain-button" @click="add">Add</button>
    </div>
  </div>
  <p v-if="failed || jobs.refused" class="failed" role="alert">{{ failed || jobs.refused }}</p>
</template>

<style scoped>
.field-row {
  grid-template-columns: 170px 1fr;
  margin-bottom: 6px;
}

.number {
  width: 90px;
  text-align: right;
}

.what {
  min-width: 150px;
}

.failed {
  color: var(--rust);
}
</style>
