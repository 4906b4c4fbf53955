<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { limits, MOST_SIZE_ROWS, SizeRow } from '../../../contract/index.ts'
import { reading, setSeat } from '../../../core/job/index.ts'
import { rowDimension, seatOfRows, slotsOf, valueOf } from '../../../core/seat/index.ts'
import { parseLength } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import CountField from '../../ui/CountField.vue'
import LengthField from '../../ui/LengthField.vue'

/** Cushions of one kind that differ a little: a row for each size; the first is the seat that is drawn. */
const jobs = useJob()
const seat = computed(() => jobs.job!.seat)
const rows = computed(() => (seat.value.division.kind === 'rows' ? seat.value.division.rows : []))
const slots = computed(() => slotsOf(seat.value).filter((s) => s.dimension.readings.length > 0))
const size = (row: number, slot: string): number => valueOf(rowDimension(seat.value, row, slot)!)

const set = (says: string, next: readonly SizeRow[], key: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => ({ ...s, division: { kind: 'rows', rows: [...next] } })),
    key,
  )
const change = (i: number, row: Partial<SizeRow>) => rows.value.map((r, j) => (j === i ? { ...r, ...row } : r))
function measure(i: number, slot: string, label: string, mm: number): void {
  if (i === 0)
    return void jobs.edit(
      setSeat(phrase`${label} measured`, (s) =>
        slotsOf(s)
          .find((own) => own.slot === slot)!
          .with(reading(mm)),
      ),
      `row-0-${slot}`,
    )
  set(
    phrase`Row ${i + 1}, ${label.toLowerCase()}`,
    change(i, { readings: { ...rows.value[i]!.readings, [slot]: reading(mm) } }),
    `row-${i}-${slot}`,
  )
}
const add = () => set('One size more', [...rows.value, { count: 1, readings: rows.value.at(-1)?.readings ?? {} }])
const remove = (i: number) =>
  set(
    'One size less',
    rows.value.filter((_, j) => j !== i),
  )

/** Rows copied from a spreadsheet: sizes in the order of the columns, one row a line. */
function paste(event: ClipboardEvent): void {
  const lines = (event.clipboardData?.getData('text') ?? '').split(/\r?\n/).filter((l) => l.trim() !== '')
  const cells = lines.map((l) => l.split(/\t|;/).map((text) => parseLength(text.trim(), jobs.job!.units)))
  if (lines.length < 2 || cells.some((row) => row.length > slots.value.length || row.some((c) => !c.ok))) return
  event.preventDefault()
  const [first, ...others] = cells.map((row): SizeRow => ({
    count: 1,
    readings: Object.fromEntries(
      row.flatMap((c, k) => (c.ok ? [[slots.value[k]!.slot, reading(c.value.mm)] as const] : [])),
    ),
  }))
  jobs.edit(setSeat(phrase`${cells.length} sizes pasted`, (s) => seatOfRows(s, [first!, ...others])))
}
</script>

<template>
  <div class="scroll">
    <table class="rows" data-field="measure.rows" @paste="paste">
      <caption class="quiet">
        A row for each size; rows that come out alike are made as one. Rows can be pasted from a spreadsheet.
      </caption>
      <thead>
        <tr>
          <th>How many</th>
          <th v-for="s in slots" :key="s.slot">{{ s.label }}</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <td>
            <CountField
              :model-value="row.count"
              v-bind="limits(SizeRow.shape.count)"
              :name="`Row ${i + 1}, how many`"
              @update:model-value="(count) => set(`Row ${i + 1}: ${count} of`, change(i, { count }), `row-${i}-count`)"
            />
          </td>
          <td v-for="s in slots" :key="s.slot">
            <LengthField
              :model-value="size(i, s.slot)"
              :unit="jobs.job!.units"
              :name="`Row ${i + 1}, ${s.label.toLowerCase()}`"
              @update:model-value="(mm) => measure(i, s.slot, s.label, mm)"
            />
          </td>
          <td>
            <button
              v-if="i > 0"
              type="button"
              class="plain-button"
              :aria-label="`Take out row ${i + 1}`"
              @click="remove(i)"
            >
              ×
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <button v-if="rows.length < MOST_SIZE_ROWS" type="button" class="plain-button" @click="add">One size more</button>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

.rows {
  border-collapse: collapse;
  margin: 4px 0;
}

caption {
  text-align: left;
  padding-bottom: 4px;
}

th {
  text-align: left;
  font-size: 14px;
  font-weight: 600;
}

th,
td {
  padding: 2px 5px 2px 0;
}

td :deep(.count-field) {
  flex-wrap: nowrap;
  gap: 2px;
}

td :deep(input) {
  width: 58px;
}

td :deep(.count-field input) {
  width: 38px;
}
</style>
