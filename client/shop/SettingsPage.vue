<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import type { ShopSettings } from '../../contract/index.ts'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { useAttempt } from '../ui/use-attempt.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import { LAYS } from './choices.ts'
import ShopFields from './ShopFields.vue'
import { named } from './named.ts'

/** Whose shop it is, and how it measures and writes. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const draft = ref<ShopSettings | null>(null)
let base: ShopSettings | null = null
const isChanged = computed(() => JSON.stringify(draft.value) !== JSON.stringify(shop.lists?.settings))

const read = () => (draft.value = structuredClone((base = shop.lists!.settings)))
onMounted(() =>
  attempt(async () => {
    await shop.open()
    read()
  }),
)
const keep = () =>
  attempt(async () => {
    await shop.changeSettings(named(draft.value!), base)
    read()
  })
</script>

<template>
  <ShopPage title="Shop" :failed="failed" columns="minmax(0, 680px)">
    <section v-if="draft" class="sheet">
      <h2>Whose shop it is, and how it writes</h2>
      <p class="quiet">
        New tickets start with these units and this currency; tickets that hang already keep their own.
      </p>
      <ShopFields v-model="draft" />
      <div class="field-row">
        <span class="label">Of lays hardly longer</span>
        <div>
          <ChoiceButtons v-model="draft.lays" :choices="LAYS" name="Of lays hardly longer" />
          <p class="quiet">
            Half a per cent of cloth at most for fewer cuts and more of them straight across. It is taken as soon as it
            is found, unless the ticket is quoted or ordered as it lies; the planner's can be had back.
          </p>
        </div>
      </div>
      <p class="keep">
        <button type="button" class="plain-button main" :disabled="!isChanged" @click="keep">Keep</button>
        <button v-if="isChanged" type="button" class="plain-button" @click="read">As it was</button>
      </p>
    </section>
  </ShopPage>
</template>

<style scoped>
.field-row {
  grid-template-columns: 190px minmax(0, 1fr);
  margin-top: 12px;
}

.field-row p {
  margin: 6px 0 0;
}

.keep {
  display: flex;
  gap: 10px;
  margin: 16px 0 4px;
}

@media (max-width: 860px) {
  .field-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
