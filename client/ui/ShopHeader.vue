<script setup lang="ts">
import { useShop } from '../stores/shop.ts'

/** The head of every page of the shop: its name, and the ways to the others. */
defineProps<{ title: string }>()
const shop = useShop()
const PAGES = [
  ['/', 'Shelf'],
  ['/calendar', 'Days'],
  ['/foam', 'Foam'],
  ['/cloth', 'Cloth'],
  ['/trims', 'Trims'],
  ['/learnt', 'Learnt'],
  ['/records', 'Records'],
  ['/shop', 'Shop'],
] as const
</script>

<template>
  <header class="shop-header no-print">
    <h1>{{ title }}</h1>
    <span class="quiet shop">{{ shop.lists?.settings.shopName }}</span>
    <nav aria-label="Pages of the shop">
      <RouterLink v-for="[to, label] in PAGES" :key="to" :to="to" exact-active-class="here">{{ label }}</RouterLink>
    </nav>
    <span class="gap" />
    <slot />
  </header>
</template>

<style scoped>
.shop-header {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 12px;
  padding: 8px 18px;
  border-bottom: 3px solid var(--ink);
}

h1 {
  font-size: 26px;
}

.gap {
  flex: 1;
}

nav {
  display: flex;
  flex-wrap: wrap;
}

nav a {
  color: var(--ink);
  text-decoration: none;
  padding: 6px 11px;
  min-height: var(--small-target);
  border-bottom: 3px solid transparent;
}

nav a:hover {
  color: var(--chalk);
}

nav a.here {
  border-bottom-color: var(--chalk);
  font-weight: 600;
}
</style>
