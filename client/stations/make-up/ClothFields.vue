<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { ClothRole } from '../../../contract/index.ts'
import { partName, setCloth, setOtherCloth, setOwnCloth } from '../../../core/job/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import LayerFields from './LayerFields.vue'
import OwnCloth from './OwnCloth.vue'

/** Which cloth each part of the cover is cut from. */
const jobs = useJob()
const shop = useShop()
const choice = computed(() => jobs.job!.cloth)
const cloths = computed(() => shop.lists?.cloths ?? [])
const ROLES: readonly { readonly role: Exclude<ClothRole, 'face'>; readonly label: string }[] = [
  { role: 'second-face', label: 'Second face' },
  { role: 'boxing', label: 'Boxing and ends' },
  { role: 'piping', label: 'Piping' },
  { role: 'base', label: 'Base, dust cover' },
  { role: 'lining', label: 'Lining' },
  { role: 'liner', label: 'Liner' },
  { role: 'wadding', label: 'Wadding behind' },
  { role: 'protector', label: 'Protector behind' },
]
/** Roles that the present cover has panels for. */
const used = computed(() => {
  const plan = jobs.part
  if (plan?.kind !== 'worked') return new Set<string>()
  return new Set(
    plan.designs.flatMap((d) =>
      [...d.cover.panels, ...d.cover.layers, ...(d.liner?.panels ?? [])]
        .map((p) => p.cloth as string)
        .concat(d.cover.piping?.stripWidth ? ['piping'] : []),
    ),
  )
})
/** What only layers take is asked where there is one. */
const shown = computed(() =>
  ROLES.filter(({ role }) => used.value.has(role) || (role !== 'wadding' && role !== 'protector')),
)
const SAME = 'same'
const isSet = computed(() => jobs.whole!.parts.length > 1)
const isOwn = (role: ClothRole) =>
  jobs.whole!.parts.find((p) => p.letter === jobs.inView)?.cloth.own[role] !== undefined
function setOwn(role: ClothRole, own: boolean): void {
  const { letter } = jobs.job!
  jobs.edit({
    says: own
      ? phrase`A cloth of their own, ${partName(jobs.job!)}`
      : phrase`The cloth of the ticket, ${partName(jobs.job!)}`,
    applyToJob: (job) => setOwnCloth(job, letter, role, own),
  })
}
const pick = (role: Exclude<ClothRole, 'face'>, label: string, id: string) =>
  jobs.edit(
    setOtherCloth(
      role,
      id === SAME ? null : cloths.value.find((c) => c.id === id)!,
      phrase`${label}: ${id === SAME ? 'as the face' : cloths.value.find((c) => c.id === id)!.name}`,
    ),
  )
</script>

<template>
  <div class="field-row">
    <span class="label">Face</span>
    <div>
      <ElSelect
        :model-value="choice.cloth.name"
        aria-label="Face"
        @update:model-value="(name: string) => jobs.edit(setCloth(cloths.find((c) => c.name === name)!))"
      >
        <ElOption v-for="c in cloths" :key="c.id" :value="c.name" :label="c.name" />
      </ElSelect>
      <OwnCloth v-if="isSet" :is-own="isOwn('face')" what="face" @set="(own) => setOwn('face', own)" />
    </div>
  </div>
  <div v-for="r in shown" :key="r.role" class="field-row" :class="{ unused: !used.has(r.role) }">
    <span class="label">{{ r.label }}</span>
    <div>
      <ElSelect
        :model-value="choice.others[r.role]?.id ?? SAME"
        :aria-label="r.label"
        @update:model-value="(id: string) => pick(r.role, r.label, id)"
      >
        <ElOption :value="SAME" label="as the face" />
        <ElOption v-for="c in cloths" :key="c.id" :value="c.id" :label="c.name" />
      </ElSelect>
      <OwnCloth
        v-if="isSet && used.has(r.role)"
        :is-own="isOwn(r.role)"
        :what="r.label.toLowerCase()"
        @set="(own) => setOwn(r.role, own)"
      />
      <div v-if="!used.has(r.role)" class="quiet">this make-up has none</div>
    </div>
  </div>
  <p class="quiet">Each cloth has a lay of its own. Stripes are matched on the face.</p>
  <LayerFields />
</template>

<style scoped>
.unused {
  opacity: 0.7;
}
</style>
