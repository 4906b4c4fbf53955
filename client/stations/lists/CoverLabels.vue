<script setup lang="ts">
import { computed } from 'vue'
import type { Cloth } from '../../../contract/index.ts'
import { cushionKey } from '../../../core/job/index.ts'
import { MAKE_UPS } from '../../../core/cover/index.ts'
import { isSewn, type WorkedPlan } from '../../../core/planned/index.ts'
import { formatLength, toCut, unitName } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import QrCode from './QrCode.vue'
import { useAddress } from './use-address.ts'

/** A label for the inside of each cover: what it is, where it goes, how it is washed. */
const props = defineProps<{ plan: WorkedPlan; only: string }>()
const jobs = useJob()
const { address } = useAddress()
const labels = computed(() => {
  const { units, making } = jobs.whole!
  const say = (mm: number) => formatLength(toCut(mm, units), units)
  const shown = props.plan.worked.filter((p) => isSewn(p.part) && (props.only === '' || p.part.letter === props.only))
  const cushions = shown.flatMap((own) => own.cushions.inOrder.map(({ design }, i) => ({ own, design, i })))
  return cushions.map(({ own: { part, prefix, designs }, design, i }) => {
    const { width, depth, thickness } = designs[design]!.cover.solid
    const papers = making.papers[cushionKey(part.letter, i)]
    return {
      number: `${prefix}${i + 1}`,
      name: part.name,
      made: `${MAKE_UPS[part.makeUp.construction.kind].label.toLowerCase()}, ${part.cloth.cloth.name}`,
      size: `${say(width.value)} x ${say(depth.value)} x ${say(thickness.value)} ${unitName(units)} net`,
      wash: washWords(part.cloth.cloth),
      papers: papers
        ? [papers.foamBatch && `foam ${papers.foamBatch}`, papers.certificate && `certificate ${papers.certificate}`]
            .filter((w) => w)
            .join(', ')
        : '',
    }
  })
})
const washWords = ({ shrink: { across, along }, washFirst }: Cloth) =>
  across === 0 && along === 0
    ? 'wash: not known, try a scrap first'
    : washFirst
      ? 'washed before it was cut'
      : 'wash cool: the first wash shrinks it into its size'
</script>

<template>
  <section class="block-labels">
    <h2>Cover labels</h2>
    <ul class="cover-labels labels-to-cut">
      <li v-for="l in labels" :key="l.number">
        <QrCode :text="address('fit')" />
        <b>{{ jobs.job!.ticket }} cover {{ l.number }} of {{ labels.length }}</b>
        <div>{{ l.size }}</div>
        <div>{{ l.name ? `${l.name}: ` : '' }}{{ l.made }}</div>
        <div>{{ jobs.job!.terms.furniture || jobs.job!.title }}</div>
        <div class="quiet">{{ l.wash }}</div>
        <div v-if="l.papers" class="quiet">{{ l.papers }}</div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 20px;
}
</style>
