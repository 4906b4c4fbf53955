<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { Cloth } from '../../../contract/index.ts'
import {
  cutListCsv,
  layDrawing,
  layDxf,
  layPagePdf,
  layRollPdf,
  laySvg,
  PAGES,
  templatePdf,
} from '../../../core/formats/index.ts'
import { sewnOutline } from '../../../core/cover/index.ts'
import { LEAST_LEFTOVER_MM, leftover, remnantFrom } from '../../../core/cloth/index.ts'
import { leftByWash, washed } from '../../../core/pattern/index.ts'
import { freeIn } from '../../../core/lay/index.ts'
import { formatLength, formatLengthWithUnit } from '../../../core/units/index.ts'
import { clothCost } from '../../../core/what-if/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import { useJob } from '../../stores/job.ts'
import { useJoint } from '../../stores/joint/index.ts'
import { useShop } from '../../stores/shop.ts'
import { download } from '../../ui/download.ts'
import { csvManner } from '../../ui/manner.ts'
import CuttingTable from './CuttingTable.vue'

/** The lay as files for the table, the printer and other programs; single pieces as patterns; the cutting table. */
const jobs = useJob()
const shop = useShop()
/** All that is cut at once: other tickets too, where they share the cloth. */
const table = computed(() => useJoint().table)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const pageName = ref(shop.lists?.settings.paper === 'letter' ? 'Letter' : 'A4')
const piece = ref('')
const failed = ref('')
const drawing = computed(() =>
  table.value && plan.value
    ? layDrawing(jobs.job!.ticket, table.value.plan, table.value.lay, plan.value.worked[0].allowances.notchMm.value)
    : null,
)
const page = computed(() => PAGES.find((p) => p.name === pageName.value)!)
const pieces = computed(() => table.value?.plan.pieces.filter((p) => p.of) ?? [])

async function save(name: string, make: () => Promise<string | Uint8Array> | string, type: string): Promise<void> {
  failed.value = ''
  try {
    const made = await make()
    download(phrase`${jobs.job!.ticket} ${name}`, typeof made === 'string' ? made : new Uint8Array(made), type)
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
/** What the lay leaves of the cloth, for the shelf. */
const left = computed(() => {
  if (!table.value) return null
  const { plan: own, lay } = table.value
  const { boughtMm } = clothCost(own.cloth, lay.length)
  return leftover(washed(own.cloth), lay, boughtMm * leftByWash(own.cloth, 'along'), {
    id: `left-${jobs.job!.ticket}-${own.cloth.id}`.slice(0, 60),
    name: phrase`${own.cloth.name}, left from ${jobs.job!.ticket}`.slice(0, 80),
  })
})
const leftWords = computed(() => {
  const supply = left.value?.supply
  if (!supply) return 'Nothing worth keeping is left at the end.'
  const mm =
    supply.kind === 'length'
      ? supply.lengthMm
      : supply.kind === 'remnant'
        ? Math.max(...supply.outline.map((p) => p[1]))
        : 0
  return phrase`${formatLengthWithUnit(mm, jobs.job!.units)} of ${table.value!.plan.cloth.name} are left at the end.`
})
/** The largest piece that the lay leaves free between its pieces; smaller ones are scraps. */
const gap = computed(() => {
  // From within folded cloth two pieces would come, mirrored: they are scraps.
  const free = table.value && !table.value.plan.isFolded ? freeIn(table.value.plan.problem, table.value.lay) : null
  return free && Math.min(free.width, free.height) >= LEAST_LEFTOVER_MM ? free : null
})
const gapCloth = computed(
  () =>
    gap.value &&
    table.value &&
    remnantFrom(table.value.plan.laidOn, gap.value, table.value.lay, {
      id: `gap-${jobs.job!.ticket}-${table.value.plan.cloth.id}`.slice(0, 60),
      name: phrase`${table.value.plan.cloth.name}, from within ${jobs.job!.ticket}`.slice(0, 80),
    }),
)
const returned = ref('')
async function putBack(cloth: Cloth): Promise<void> {
  failed.value = ''
  try {
    await shop.keepCloths([cloth])
    returned.value = phrase`Noted in the cloth store: ${cloth.name}.`
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
const FILES = computed(() => {
  const d = drawing.value
  return d === null
    ? []
    : [
        { label: 'Lay, PDF on a page', go: () => save('lay.pdf', () => layPagePdf(d, page.value), 'application/pdf') },
        { label: 'Lay, PDF roll wide', go: () => save('lay roll.pdf', () => layRollPdf(d), 'application/pdf') },
        { label: 'Lay, SVG true size', go: () => save('lay.svg', () => laySvg(d), 'image/svg+xml') },
        { label: 'Lay, DXF in mm', go: () => save('lay.dxf', () => layDxf(d), 'application/dxf') },
        {
          label: 'Cut list, spreadsheet',
          go: () => save('cut list.csv', () => cutListCsv(plan.value!.cutList, jobs.job!, csvManner()), 'text/csv'),
        },
      ]
})
/** One piece at true size over pages that are laid on each other: the cut line full, the sewing line dashed. */
function savePiece(): void {
  const own = pieces.value.find((p) => p.id === piece.value) ?? pieces.value[0]
  if (!own) return
  const box = boxOf(own.cut)
  void save(
    `${own.name}.pdf`,
    () =>
      templatePdf(
        {
          title: phrase`${jobs.job!.ticket}: ${own.name}`,
          foot: own.cut,
          top: sewnOutline(own.of!.panel),
          labels: [{ at: { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 }, text: own.name }],
          notes: ['Full line: cut. Dashed line: sew.'],
        },
        page.value,
      ),
    'application/pdf',
  )
}
/** Boards at true size, to be glued together from pages and traced; a cross at each hole. */
const boards = computed(
  () => plan.value?.designs.flatMap((d) => (d.cover.board ? [{ id: d.design.id, board: d.cover.board }] : [])) ?? [],
)
const saveBoard = ({ id, board }: (typeof boards.value)[number]) =>
  save(
    phrase`board ${id}.pdf`,
    () =>
      templatePdf(
        {
          title: phrase`${jobs.job!.ticket}: board ${id}`,
          foot: board.outline,
          top: board.outline,
          labels: board.holes.map((at) => ({ at, text: '+' })),
          notes: [
            phrase`${formatLengthWithUnit(board.thicknessMm, jobs.job!.units)} thick, smaller than the seat for the cloth.`,
            ...(board.holes.length > 0 ? ['Drill 12 mm at each cross, edges broken.'] : []),
          ],
        },
        page.value,
      ),
    'application/pdf',
  )
</script>

<template>
  <div class="files">
    <template v-if="drawing">
      <div class="fields-in-line">
        <label class="tick"
          >Paper
          <ElSelect v-model="pageName" aria-label="Paper" class="paper"
            ><ElOption v-for="p in PAGES" :key="p.name" :value="p.name" :label="p.name" /></ElSelect
        ></label>
        <button v-for="f in FILES" :key="f.label" type="button" class="plain-button" @click="f.go">
          {{ f.label }}
        </button>
      </div>
      <div class="fields-in-line">
        <ElSelect
          :model-value="piece || pieces[0]?.id"
          filterable
          aria-label="Single piece"
          class="piece"
          @update:model-value="(id: string) => (piece = id)"
          ><ElOption v-for="p in pieces" :key="p.id" :value="p.id" :label="p.name"
        /></ElSelect>
        <button type="button" class="plain-button" :disabled="pieces.length === 0" @click="savePiece">
          This piece, PDF over pages
        </button>
      </div>
      <div v-if="boards.length > 0" class="fields-in-line">
        <button v-for="b in boards" :key="b.id" type="button" class="plain-button" @click="saveBoard(b)">
          Board {{ b.id }} to trace, PDF over pages
        </button>
      </div>
      <div class="fields-in-line">
        <span>{{ leftWords }}</span>
        <button v-if="left" type="button" class="plain-button" @click="putBack(left)">
          It is cut: the rest to the store
        </button>
        <template v-if="gap && gapCloth">
          <span
            >Between the pieces {{ formatLength(gap.width, jobs.job!.units) }} x
            {{ formatLengthWithUnit(gap.height, jobs.job!.units) }} stay free in one piece.</span
          >
          <button type="button" class="plain-button" @click="putBack(gapCloth)">That to the store</button>
        </template>
        <span v-if="returned" class="quiet" role="status">{{ returned }}</span>
      </div>
      <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
      <CuttingTable :drawing="drawing" />
    </template>
    <p v-else class="quiet">There is no lay yet to mark out.</p>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  gap: 10px;
}

.paper {
  width: 90px;
}

.piece {
  width: 260px;
}

.failed {
  color: var(--rust);
}
</style>
