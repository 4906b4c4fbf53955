<script setup lang="ts">
import { computed } from 'vue'
import { setSeat } from '../../../core/job/index.ts'
import { reshape } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import ShapeChoice from '../../ui/ShapeChoice.vue'

const jobs = useJob()
const kind = computed(() => jobs.job!.seat.footprint.kind)
</script>

<template>
  <ShapeChoice
    :model-value="kind"
    @update:model-value="(k, label) => jobs.edit(setSeat(`Shape: ${label.toLowerCase()}`, (seat) => reshape(seat, k)))"
  />
</template>
