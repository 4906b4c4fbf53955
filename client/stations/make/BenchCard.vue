<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { MAKE_UPS, noteWords } from '../../../core/cover/index.ts'
import { partName } from '../../../core/job/index.ts'
import { isSewn, type WorkedPlan } from '../../../core/planned/index.ts'
import { formatLength, toCut, unitName } from '../../../core/units/index.ts'
import CushionPicture from '../../drawing/picture/CushionPicture.vue'
import PanelsPicture from '../../drawing/picture/PanelsPicture.vue'
import { useJob } from '../../stores/job.ts'
import QrCode from '../lists/QrCode.vue'
import { useAddress } from '../lists/use-address.ts'
import { wholeDay } from '../../ui/manner.ts'

/** One sheet that lies at the bench: what is made, its sizes, its seams by letter, and the code of its work order. */
const props = defineProps<{ plan: WorkedPlan }>()
const jobs = useJob()
const { address } = useAddress()
const say = (mm: number) => formatLength(toCut(mm, jobs.whole!.units), jobs.whole!.units)
const size = (...mm: readonly number[]) => mm.map(say).join(' x ')
const cards = computed(() =>
  props.plan.designs.map((d) => {
    const { cover, filling, part, design } = d
    const { block } = filling.sizing
    return {
      id: design.id,
      d,
      name: props.plan.worked.length > 1 ? partName(part) : '',
      count: design.count,
      made: isSewn(part)
        ? phrase`${MAKE_UPS[part.makeUp.construction.kind].label}, ${part.cloth.cloth.name}`
        : 'filling only: the cover stays',
      net: size(cover.solid.width.value, cover.solid.depth.value, cover.solid.thickness.value),
      block: size(block.width.value, block.depth.value, block.thickness.value),
      seam: say(props.plan.worked.find((w) => w.part === part)?.allowances.seamMm.value ?? 0),
      seams: isSewn(part) ? cover.seams.map((s) => phrase`${s.letter} ${s.name}`) : [],
      notes: cover.notes.map((n) => noteWords(n, jobs.whole!.units)),
    }
  }),
)
/** One sheet: with many designs the pictures grow smaller. */
const picture = computed(() => (cards.value.length > 2 ? 130 : cards.value.length > 1 ? 220 : 295))
</script>

<template>
  <div class="print-only card">
    <header>
      <QrCode :text="address('make')" />
      <h1>{{ jobs.whole!.ticket }} {{ jobs.whole!.title }}</h1>
      <p>
        {{ jobs.whole!.customer
        }}<template v-if="jobs.whole!.terms.dueOn">, due {{ wholeDay(jobs.whole!.terms.dueOn) }}</template
        >, revision {{ jobs.revision }}; sizes in {{ unitName(jobs.whole!.units) }}
      </p>
    </header>
    <section v-for="c in cards" :key="c.id">
      <h2>{{ c.count }} x {{ [c.name, cards.length > 1 ? c.id : ''].filter((w) => w).join(' ') }} {{ c.made }}</h2>
      <div v-if="c.seams.length > 0" class="pictures">
        <CushionPicture :cover="c.d.cover" :cloths="c.d.part.cloth" :width="picture" :height="picture * 0.8" />
        <PanelsPicture :cover="c.d.cover" :width="picture * 1.3" :height="picture * 1.2" />
      </div>
      <p class="sizes">
        finishes <b>{{ c.net }}</b> · block <b>{{ c.block }}</b><template v-if="c.seams.length > 0">
          · seam allowance <b>{{ c.seam }}</b></template
        >
      </p>
      <ol>
        <li v-for="s in c.seams" :key="s">{{ s }}</li>
      </ol>
      <p v-for="n in c.notes" :key="n" class="quiet">{{ n }}</p>
    </section>
  </div>
</template>

<style scoped>
h1 {
  font-size: 20px;
  margin: 0;
}

h2 {
  font-size: 15px;
  margin: 8px 0 2px;
}

p {
  margin: 2px 0 0;
}

section {
  break-inside: avoid;
  border-top: 1px solid #999;
}

.pictures {
  display: flex;
  gap: 12px;
  align-items: center;
}

.pictures svg {
  flex: none;
}

.sizes {
  font-size: 14px;
}

ol {
  list-style: none;
  padding: 0;
  margin: 4px 0;
  columns: 2;
  font-size: 12px;
}
</style>
