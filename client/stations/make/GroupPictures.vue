<script setup lang="ts">
import { computed } from 'vue'
import type { Part } from '../../../core/making/index.ts'
import { isSewn, type WorkedPlan } from '../../../core/planned/index.ts'
import { formatLengthWithUnit, toCut } from '../../../core/units/index.ts'
import BlockPicture from '../../drawing/picture/BlockPicture.vue'
import CushionPicture from '../../drawing/picture/CushionPicture.vue'
import LayPicture from '../../drawing/picture/LayPicture.vue'
import PanelsPicture from '../../drawing/picture/PanelsPicture.vue'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'

/** What a group of steps is about, drawn for paper: blocks, lays, panels by their seams, the cushion closed. */
const props = defineProps<{ part: Part; plan: WorkedPlan }>()
const jobs = useJob()
const lays = useLay()
const SIZE = { width: 210, height: 140 }
/** More designs than this to a group would push the steps off the page. */
const MOST_PICTURES = 6
const say = (mm: number) => formatLengthWithUnit(toCut(mm, jobs.whole!.units), jobs.whole!.units)
const designs = computed(() => props.plan.designs.slice(0, MOST_PICTURES))
const name = (i: number) => (props.plan.designs.length > 1 ? props.plan.designs[i]!.design.id : '')
const laid = computed(() =>
  lays.cloths.flatMap((plan) => {
    const lay = lays.of(plan.cloth.id)
    return lay ? [{ plan, lay }] : []
  }),
)
</script>

<template>
  <div class="pictures">
    <template v-if="part === 'foam'">
      <figure v-for="(d, i) in designs" :key="i">
        <BlockPicture :block="d.filling.sizing.block" :say="say" v-bind="SIZE" />
        <figcaption v-if="name(i)">{{ name(i) }}</figcaption>
      </figure>
    </template>
    <template v-else-if="part === 'cloth'">
      <figure v-for="l in laid" :key="l.plan.cloth.id">
        <LayPicture :plan="l.plan" :lay="l.lay" :width="laid.length === 1 ? 640 : 310" :height="160" />
        <figcaption>{{ l.plan.cloth.name }}, {{ say(l.lay.length) }}</figcaption>
      </figure>
    </template>
    <template v-else-if="part === 'sewing' || part === 'closing'">
      <figure v-for="(d, i) in designs.filter((x) => isSewn(x.part))" :key="i">
        <PanelsPicture v-if="part === 'sewing'" :cover="d.cover" :width="310" :height="220" />
        <CushionPicture v-else :cover="d.cover" :cloths="d.part.cloth" v-bind="SIZE" />
        <figcaption v-if="name(i)">{{ name(i) }}</figcaption>
      </figure>
    </template>
  </div>
</template>

<style scoped>
.pictures {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}

figure {
  margin: 0;
  break-inside: avoid;
}

figcaption {
  font-size: 12px;
}
</style>
