<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { JoinPlaces, limits, limitsOfKind, type PanelJoins, PositiveMm } from '../../../contract/index.ts'
import { wholeId, type Panel } from '../../../core/cover/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import CountField from '../../ui/CountField.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import { countOf, otherCount, otherPlaces, type PlacesKind } from './joins.ts'

/** Panels that are sewn together of several pieces, each with where its joins lie and what its pieces are cut at. */
const jobs = useJob()
const design = useDesign()
const joins = computed(() => jobs.job!.makeUp.joins)
const unit = computed(() => jobs.job!.units)
const set = (says: string, change: (all: readonly PanelJoins[]) => readonly PanelJoins[], key: string | null = null) =>
  jobs.edit(
    setMakeUp(says, (m) => ({ ...m, joins: [...change(m.joins)] })),
    key,
  )
const change = (i: number, with_: Partial<PanelJoins>, key: string | null = null) =>
  set('Joins', (all) => all.map((j, k) => (k === i ? { ...j, ...with_ } : j)), key)

/** Panels by name, of the cover and of the liner inside it. */
const panels = computed(() =>
  (['cover', 'liner'] as const).flatMap((of) =>
    (design.chosen?.[of]?.whole.panels ?? [])
      .filter((p) => p.role !== 'trim')
      .map((panel) => ({
        key: `${of}/${panel.id}`,
        of,
        panel,
        label: of === 'liner' ? phrase`Liner, ${panel.name}` : panel.name,
      })),
  ),
)
const free = computed(() =>
  panels.value.filter(({ of, panel }) => !joins.value.some((j) => j.of === of && j.panel === panel.id)),
)
const wholeOf = (join: PanelJoins): Panel | undefined =>
  panels.value.find((p) => p.of === join.of && p.panel.id === join.panel)?.panel
const piecesOf = (join: PanelJoins): readonly Panel[] =>
  (design.chosen?.[join.of]?.panels ?? []).filter((p) => p.piece && wholeId(p) === join.panel)
/** How long the panel is the way its joins part it. */
function sizeOf(join: PanelJoins): number {
  const panel = wholeOf(join)
  if (!panel) return 0
  const { minX, maxX, minY, maxY } = boxOf(panel.finished)
  return join.lines === 'up' ? maxX - minX : maxY - minY
}
const add = (key: string) => {
  const found = panels.value.find((p) => p.key === key)
  if (found)
    set(phrase`${found.label} joined`, (all) => [
      ...all,
      { panel: found.panel.id, of: found.of, lines: 'up', places: { kind: 'even', pieces: 2 } },
    ])
}
const LINES = [
  { value: 'up', label: 'Up the panel' },
  { value: 'across', label: 'Across it' },
] as const
const PLACES: readonly { readonly value: PlacesKind; readonly label: string }[] = [
  { value: 'even', label: 'Evenly' },
  { value: 'outer', label: 'Sides alike' },
  { value: 'at', label: 'At places' },
  { value: 'least-seen', label: 'Least seen' },
]
const nameOf = (join: PanelJoins) => {
  const name = wholeOf(join)?.name ?? join.panel
  return join.of === 'liner' ? phrase`Liner, ${name}` : name
}
const setPlace = (i: number, join: PanelJoins, k: number, mm: number) =>
  join.places.kind === 'at' &&
  change(
    i,
    { places: { ...join.places, placesMm: join.places.placesMm.map((p, n) => (n === k ? mm : p)) } },
    `join.${i}.place.${k}`,
  )
</script>

<template>
  <p class="quiet says">
    Any panel can be sewn together of two to six pieces: where the cloth is too narrow or too short, or where a seam is
    wanted. Each join costs two seam allowances; stripes go on over it.
  </p>
  <section v-for="(join, i) in joins" :key="`${join.of}/${join.panel}`" class="join" :aria-label="nameOf(join)">
    <h3>
      {{ nameOf(join) }}
      <button
        type="button"
        class="plain-button"
        @click="set(`${nameOf(join)} whole again`, (all) => all.filter((_, k) => k !== i))"
      >
        In one piece
      </button>
    </h3>
    <div class="field-row">
      <span class="label">Pieces</span>
      <CountField
        :model-value="countOf(join.places)"
        :name="`Pieces of ${nameOf(join)}`"
        v-bind="limitsOfKind(JoinPlaces, 'even', 'pieces')"
        @update:model-value="(n) => change(i, { places: otherCount(join.places, n, sizeOf(join)) })"
      />
    </div>
    <div class="field-row">
      <span class="label">Joins run</span>
      <ChoiceButtons
        :model-value="join.lines"
        :choices="LINES"
        :name="`Joins of ${nameOf(join)} run`"
        @update:model-value="(lines) => change(i, { lines })"
      />
    </div>
    <div class="field-row">
      <span class="label">They lie</span>
      <ChoiceButtons
        :model-value="join.places.kind"
        :choices="PLACES"
        :name="`Joins of ${nameOf(join)} lie`"
        @update:model-value="(kind) => change(i, { places: otherPlaces(kind, countOf(join.places), sizeOf(join)) })"
      />
    </div>
    <div v-if="join.places.kind === 'outer'" class="field-row">
      <span class="label">Outer pieces</span>
      <LengthField
        :model-value="join.places.outerMm"
        :unit="unit"
        v-bind="limitsOfKind(JoinPlaces, 'outer', 'outerMm')"
        :name="`Outer pieces of ${nameOf(join)}`"
        line="net"
        @update:model-value="
          (outerMm) =>
            join.places.kind === 'outer' && change(i, { places: { ...join.places, outerMm } }, `join.${i}.outer`)
        "
      />
    </div>
    <template v-if="join.places.kind === 'at'">
      <div v-for="(at, k) in join.places.placesMm" :key="k" class="field-row">
        <span class="label">Join {{ k + 1 }} {{ join.lines === 'up' ? 'from the left' : 'from below' }}</span>
        <LengthField
          :model-value="at"
          :unit="unit"
          v-bind="limits(PositiveMm)"
          :name="`Join ${k + 1} of ${nameOf(join)}`"
          line="net"
          @update:model-value="(mm) => setPlace(i, join, k, mm)"
        />
      </div>
    </template>
    <table v-if="piecesOf(join).length > 0" class="ruled-table close-table">
      <tbody>
        <tr v-for="p in piecesOf(join)" :key="p.id">
          <th scope="row">Piece {{ p.piece!.number }}</th>
          <td><FigureValue :figure="p.figures.cutWidth" /> x <FigureValue :figure="p.figures.cutHeight" /></td>
        </tr>
      </tbody>
    </table>
    <p v-else class="quiet">Not joined as it stands: see below.</p>
  </section>
  <div v-if="free.length > 0" class="field-row" data-field="make-up.joins">
    <span class="label">Join</span>
    <ElSelect :model-value="''" placeholder="choose a panel" aria-label="Join a panel" @update:model-value="add">
      <ElOption v-for="p in free" :key="p.key" :value="p.key" :label="p.label" />
    </ElSelect>
  </div>
</template>

<style scoped>
.join {
  display: grid;
  gap: 6px;
  padding: 8px 0 12px;
  border-bottom: 1px solid var(--line);
}

h3 {
  display: flex;
  justify-content: space-between;
  align-items: center;
  margin: 0;
}

th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}
</style>
