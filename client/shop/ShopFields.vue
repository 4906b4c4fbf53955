<script setup lang="ts">
import { ShopSettings, textLimits } from '../../contract/index.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import { UNIT_CHOICES } from '../ui/unit-choices.ts'
import { AS_BROWSER, CURRENCIES, FIRST_WEEKDAYS, MANNERS, PAPERS } from './choices.ts'

/** Whose shop it is, and how it measures and writes. */
const props = defineProps<{ modelValue: ShopSettings }>()
const emit = defineEmits<{ 'update:modelValue': [settings: ShopSettings] }>()
const set = (change: Partial<ShopSettings>) => emit('update:modelValue', { ...props.modelValue, ...change })
const typed = (event: Event) => (event.target as HTMLInputElement | HTMLTextAreaElement).value
</script>

<template>
  <div class="shop-fields">
    <label class="field-row">
      <span class="label">Name of the shop</span>
      <input
        class="text"
        v-bind="textLimits(ShopSettings.shape.shopName)"
        autocomplete="organization"
        :value="modelValue.shopName"
        @input="set({ shopName: typed($event) })"
      />
    </label>
    <label class="field-row">
      <span class="label">Address, as on a quote</span>
      <textarea
        class="text"
        rows="3"
        v-bind="textLimits(ShopSettings.shape.address)"
        autocomplete="street-address"
        :value="modelValue.address"
        @input="set({ address: typed($event) })"
      />
    </label>
    <label class="field-row">
      <span class="label">Tax number</span>
      <input
        class="text"
        v-bind="textLimits(ShopSettings.shape.taxNumber)"
        :value="modelValue.taxNumber"
        @input="set({ taxNumber: typed($event) })"
      />
    </label>
    <div class="field-row">
      <span class="label">Lengths of new jobs</span>
      <ChoiceButtons
        :model-value="modelValue.units"
        :choices="UNIT_CHOICES"
        name="Lengths of new jobs"
        @update:model-value="set({ units: $event })"
      />
    </div>
    <div class="field-row">
      <span class="label">Currency</span>
      <ElSelect
        :model-value="modelValue.currency"
        filterable
        aria-label="Currency"
        @update:model-value="set({ currency: $event })"
        ><ElOption v-for="c in CURRENCIES" :key="c.value" :value="c.value" :label="c.label"
      /></ElSelect>
    </div>
    <div class="field-row">
      <span class="label">Days and amounts</span>
      <ElSelect
        :model-value="modelValue.locale || AS_BROWSER"
        aria-label="How days and amounts are written"
        @update:model-value="set({ locale: $event === AS_BROWSER ? '' : $event })"
        ><ElOption v-for="m in MANNERS" :key="m.value" :value="m.value" :label="m.label"
      /></ElSelect>
    </div>
    <div class="field-row">
      <span class="label">Weeks begin on</span>
      <ChoiceButtons
        :model-value="modelValue.firstWeekday"
        :choices="FIRST_WEEKDAYS"
        name="Weeks begin on"
        @update:model-value="set({ firstWeekday: $event })"
      />
    </div>
    <div class="field-row">
      <span class="label">Paper</span>
      <ChoiceButtons
        :model-value="modelValue.paper"
        :choices="PAPERS"
        name="Paper"
        @update:model-value="set({ paper: $event })"
      />
    </div>
  </div>
</template>

<style scoped>
.shop-fields :deep([role='radiogroup']) {
  justify-self: start;
}

.shop-fields {
  display: grid;
  gap: 10px;
}

.field-row {
  grid-template-columns: 190px minmax(0, 1fr);
}

textarea.text {
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  font: inherit;
  background: var(--field);
  height: auto;
  width: 320px;
  padding: 7px 9px;
  resize: vertical;
}

@media (max-width: 860px) {
  .field-row {
    grid-template-columns: minmax(0, 1fr);
  }

  textarea.text {
    width: 100%;
  }
}
</style>
