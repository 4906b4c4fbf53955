<script setup lang="ts">
import { computed } from 'vue'
import { learnedFor, setLearned } from '../../../core/learning/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'

/** What the shop has accepted for covers like this, to be used here or not. */
const jobs = useJob()
const shop = useShop()
const used = computed(() => jobs.job!.allowances.learned)
const offered = computed(() =>
  learnedFor(jobs.job!, jobs.plan?.kind === 'worked' ? jobs.plan : null, shop.workshop.learned),
)
const isNew = computed(() => offered.value !== null && JSON.stringify(offered.value) !== JSON.stringify(used.value))
</script>

<template>
  <div v-if="used || isNew" class="learnt">
    <p v-if="used">
      <b>Used here:</b> {{ used.says }}
      <button type="button" class="plain-button" @click="jobs.edit(setLearned(null))">Without it</button>
    </p>
    <p v-if="isNew">
      <b>The shop has learnt:</b> {{ offered!.says }}
      <button type="button" class="plain-button main" @click="jobs.edit(setLearned(offered))">Use it here</button>
    </p>
  </div>
</template>

<style scoped>
.learnt {
  border-left: 4px solid var(--moss);
  background: var(--moss-wash);
  padding: 6px 12px;
}

p {
  margin: 2px 0;
}
</style>
