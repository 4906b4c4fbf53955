<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { ShopSettings } from '../../contract/index.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import ShopFields from './ShopFields.vue'
import { layInExamples } from './examples.ts'
import { named } from './named.ts'

/** The first page of a new shop: whose it is and how it works, before the first ticket. */
const shop = useShop()
const router = useRouter()
const { failed, attempt } = useAttempt()
const draft = ref<ShopSettings | null>(null)
const withExamples = ref(true)
const isBusy = ref(false)

onMounted(() =>
  attempt(async () => {
    await shop.open()
    draft.value = shop.lists!.settings
  }),
)

const begin = () =>
  attempt(async () => {
    const settings = named(draft.value!)
    isBusy.value = true
    try {
      if (withExamples.value) await layInExamples(shop, settings.units)
      await shop.changeSettings(settings)
      await router.replace('/')
    } finally {
      isBusy.value = false
    }
  })
</script>

<template>
  <form v-if="draft" class="sheet welcome" @submit.prevent="begin">
    <h1>Loft Seam</h1>
    <p>A new shop. Say whose it is and how it measures; all of it can be changed later on the page Shop.</p>
    <ShopFields v-model="draft" />
    <label class="tick">
      <input v-model="withExamples" type="checkbox" />
      <span
        >Lay in example foam, cloth and trims.
        <span class="quiet">
          Made-up makes and prices, to try the program with: put your own in their place. Without them the first ticket
          waits until you have entered a foam and a cloth.</span
        ></span
      >
    </label>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <div><button type="submit" class="plain-button main" :disabled="isBusy">Open the shop</button></div>
  </form>
  <p v-else-if="failed" class="failed" role="alert">{{ failed }}</p>
</template>

<style scoped>
.welcome {
  width: min(680px, 100% - 24px);
  margin: 5vh auto;
  padding: 28px 32px;
  display: grid;
  gap: 16px;
}

.tick {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: start;
}

p {
  margin: 0;
}

.failed {
  color: var(--rust);
}
</style>
