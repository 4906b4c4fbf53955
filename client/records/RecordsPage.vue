<script setup lang="ts">
import { onMounted } from 'vue'
import { useShop } from '../stores/shop.ts'
import ShopPage from '../ui/ShopPage.vue'
import { useAttempt } from '../ui/use-attempt.ts'
import AccessPanel from './AccessPanel.vue'
import ArchivePanel from './ArchivePanel.vue'
import BackupPanel from './BackupPanel.vue'
import HistoryPanel from './HistoryPanel.vue'
import ListsPanel from './ListsPanel.vue'

/** What keeps the shop's memory safe: backups, the archive of everything, lists, and who may come in. */
const shop = useShop()
const { failed, attempt } = useAttempt()
onMounted(() => attempt(() => shop.open()))
</script>

<template>
  <ShopPage title="Records" :failed="failed" columns="1fr 1fr">
    <div class="column">
      <BackupPanel />
      <HistoryPanel />
      <ListsPanel />
    </div>
    <div class="column">
      <ArchivePanel />
      <AccessPanel />
    </div>
  </ShopPage>
</template>
