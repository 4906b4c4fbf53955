<script setup lang="ts">
import { onMounted } from 'vue'
import { useShop } from '../stores/shop.ts'
import ShopHeader from '../ui/ShopHeader.vue'
import { useAttempt } from '../ui/use-attempt.ts'
import AccessPanel from './AccessPanel.vue'
import ArchivePanel from './ArchivePanel.vue'
import BackupPanel from './BackupPanel.vue'
import ListsPanel from './ListsPanel.vue'

/** What keeps the shop's memory safe: backups, the archive of everything, lists, and who may come in. */
const shop = useShop()
const { failed, attempt } = useAttempt()
onMounted(() => attempt(() => shop.open()))
</script>

<template>
  <div class="store">
    <ShopHeader title="Records" />
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <main>
      <BackupPanel />
      <div>
        <ArchivePanel />
        <ListsPanel />
        <AccessPanel />
      </div>
    </main>
  </div>
</template>

<style scoped>
main {
  flex: 1;
  overflow: auto;
  padding: 14px 18px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
  align-items: start;
}

main :deep(section) {
  padding: 12px 16px;
  margin-bottom: 14px;
}

main :deep(h2) {
  margin-bottom: 8px;
}
</style>
