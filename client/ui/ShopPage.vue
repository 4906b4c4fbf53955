<script setup lang="ts">
import PutBackBar from './PutBackBar.vue'
import ShopHeader from './ShopHeader.vue'

/** A page of the shop: its head, what went wrong, and sheets in as many columns as it wants. */
defineProps<{ title: string; failed: string; columns?: string }>()
</script>

<template>
  <div class="shop-page">
    <ShopHeader :title="title"><slot name="tools" /></ShopHeader>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <PutBackBar />
    <main :style="{ gridTemplateColumns: columns ?? 'minmax(0, 1fr)' }"><slot /></main>
  </div>
</template>

<style scoped>
.shop-page {
  height: 100%;
  display: flex;
  flex-direction: column;
}

.failed {
  margin: 0;
  padding: 8px 18px;
  background: var(--rust-wash);
  color: var(--rust);
}

main {
  flex: 1;
  overflow: auto;
  padding: 14px 18px;
  display: grid;
  gap: 14px;
  align-items: start;
  align-content: start;
}

main :deep(section.sheet) {
  padding: 10px 16px 12px;
}

/* Sheets below each other within a column. */
main :deep(.column) {
  display: grid;
  gap: 14px;
  align-content: start;
}

main :deep(section.sheet > h2) {
  margin-bottom: 6px;
}

@media (max-width: 860px) {
  .shop-page {
    height: auto;
    min-height: 100%;
  }

  main {
    grid-template-columns: minmax(0, 1fr) !important;
    padding: 10px;
  }

  main :deep(section.sheet) {
    overflow-x: auto;
  }
}
</style>
