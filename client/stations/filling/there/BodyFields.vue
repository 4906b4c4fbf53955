<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { type BodySizes, limits, OldBody, textLimits } from '../../../../contract/index.ts'
import { bodySizes, foamWords, judgeBody, OLD_FOAM_WORDS, percent } from '../../../../core/filling/index.ts'
import { keepBody } from '../../../../core/job/index.ts'
import { useJob } from '../../../stores/job.ts'
import { useShop } from '../../../stores/shop.ts'
import ChoiceButtons from '../../../ui/ChoiceButtons.vue'
import CountField from '../../../ui/CountField.vue'
import LengthField from '../../../ui/LengthField.vue'
import SizeFields from '../../../ui/SizeFields.vue'
import { testedGradeOf, unknownGrade } from './fresh-body.ts'
import { vTyped } from '../../../ui/v-typed.ts'

/** One old body: its sizes as found and recovered, its state, its own test, and whether it stays. */
const props = defineProps<{ body: OldBody; usual: { readonly widthMm: number; readonly depthMm: number } }>()
const emit = defineEmits<{ change: [with_: Partial<OldBody>, says: string, key: string | null]; remove: [] }>()
const jobs = useJob()
const shop = useShop()
const units = computed(() => jobs.job!.units)
const name = computed(() => props.body.name || 'Old filling')
const grade = computed(() => testedGradeOf(props.body.test, name.value, shop.lists?.grades ?? []))
const verdict = computed(() => judgeBody(props.body, jobs.job!.filling.load, grade.value))
const lastTest = computed(() => {
  const { filling } = jobs.job!
  return filling.kind === 'foam' ? filling.test : null
})
const isInBlock = computed(() => {
  const { filling } = jobs.job!
  return filling.kind === 'foam' && filling.layers.some((l) => l.body === props.body.id)
})
const set = (with_: Partial<OldBody>, says: string, key: string | null = null) =>
  emit('change', with_, phrase`${name.value}: ${says}`, key && `${props.body.id}-${key}`)
const sized = (which: 'found' | 'recovered', size: keyof BodySizes, mm: number) =>
  set({ [which]: { ...(props.body[which] ?? props.body.found), [size]: mm } }, 'measured', `${which}-${size}`)
function setUse(use: OldBody['use']): void {
  if (use === 'keep')
    jobs.edit(keepBody(props.body, grade.value ?? unknownGrade(props.body, bodySizes(props.body).thicknessMm)))
  else set({ use }, use === 'replace' ? 'replaced' : 'a template')
}
</script>

<template>
  <section class="body">
    <div class="head">
      <input
        class="text"
        v-bind="textLimits(OldBody.shape.name)"
        v-typed="body.name"
        aria-label="Name of the old body"
        @change="set({ name: ($event.target as HTMLInputElement).value }, 'named', 'name')"
      />
      <button type="button" class="plain-button no-print" :aria-label="`Strike ${name}`" @click="emit('remove')">
        Strike
      </button>
    </div>
    <div class="field-row">
      <span class="label">Bare, as found</span>
      <SizeFields
        :sizes="body.found"
        :usual="usual"
        :unit="units"
        :name="`${name} as found`"
        @change="(size, mm) => sized('found', size, mm)"
      />
    </div>
    <div class="field-row">
      <span class="label">Steamed or rested</span>
      <div v-if="body.recovered">
        <SizeFields
          :sizes="body.recovered"
          :usual="usual"
          :unit="units"
          :name="`${name} recovered`"
          @change="(size, mm) => sized('recovered', size, mm)"
        />
        <button type="button" class="plain-button" @click="set({ recovered: null }, 'not measured again')">
          Not measured again after all
        </button>
      </div>
      <button v-else type="button" class="plain-button" @click="set({ recovered: body.found }, 'measured again')">
        Measure it again
      </button>
    </div>
    <div class="field-row">
      <span class="label">New, or where nobody sat</span>
      <LengthField
        v-if="body.newMm !== null"
        :model-value="body.newMm"
        :unit="units"
        v-bind="limits(OldBody.shape.newMm)"
        :name="`${name} when new`"
        @update:model-value="set({ newMm: $event }, 'new thickness', 'new')"
      />
      <button
        v-else
        type="button"
        class="plain-button"
        @click="set({ newMm: body.found.thicknessMm }, 'new thickness')"
      >
        Enter it
      </button>
    </div>
    <div class="field-row">
      <span class="label">For each cushion</span>
      <CountField
        :model-value="body.count"
        v-bind="limits(OldBody.shape.count)"
        :name="`${name}, how many`"
        @update:model-value="set({ count: $event }, 'count', 'count')"
      />
    </div>
    <div class="field-row">
      <span class="label">State</span>
      <div class="signs">
        <label
          ><input
            type="checkbox"
            :checked="body.crumbles"
            @change="set({ crumbles: ($event.target as HTMLInputElement).checked }, 'crumbles')"
          />
          it crumbles</label
        >
        <label
          ><input
            type="checkbox"
            :checked="body.smells"
            @change="set({ smells: ($event.target as HTMLInputElement).checked }, 'smells')"
          />
          it smells</label
        >
      </div>
    </div>
    <div v-for="field in ['said', 'topFace', 'cutOuts'] as const" :key="field" class="field-row">
      <span class="label">{{ { said: 'What was said of it', topFace: 'Top face', cutOuts: 'Cut-outs' }[field] }}</span>
      <input
        class="text"
        :maxlength="field === 'cutOuts' ? 300 : 120"
        v-typed="body[field]"
        :aria-label="`${name}, ${{ said: 'what was said of it', topFace: 'top face', cutOuts: 'cut-outs' }[field]}`"
        @change="set({ [field]: ($event.target as HTMLInputElement).value }, 'noted', field)"
      />
    </div>
    <div class="field-row">
      <span class="label">Its own test</span>
      <div v-if="body.test" class="signs">
        <span v-if="grade">{{ foamWords(grade, units) }}</span>
        <span v-else>weighed, not pressed yet</span>
        <button type="button" class="plain-button" @click="set({ test: null }, 'test forgotten')">Forget it</button>
      </div>
      <button v-else-if="lastTest" type="button" class="plain-button" @click="set({ test: lastTest }, 'tested')">
        The test below is of this body
      </button>
      <span v-else class="quiet">not tested: weigh and press it below</span>
    </div>
    <p class="verdict" :class="{ keep: verdict.keep }" role="status">
      <b>{{ verdict.keep ? 'It may stay.' : 'Replace it.' }}</b>
      <template v-if="verdict.lostShare !== null">
        {{ percent(verdict.lostShare) }} of its thickness is lost<template v-if="verdict.regainedShare !== null"
          >, {{ percent(Math.max(0, verdict.regainedShare)) }} came back with rest</template
        ></template
      ><template v-if="verdict.reasons.length > 0"
        >{{ verdict.lostShare === null ? ' ' : ': '
        }}{{ verdict.reasons.map((r) => OLD_FOAM_WORDS[r]).join('; ') }}</template
      ><template v-if="verdict.lostShare !== null || verdict.reasons.length > 0">.</template>
      <template v-if="!grade"> Whether it still holds only a press, or a sitter, can tell.</template>
    </p>
    <div class="field-row">
      <span class="label">What becomes of it</span>
      <ChoiceButtons
        :model-value="body.use === 'keep' && !isInBlock ? 'replace' : body.use"
        :choices="[
          { value: 'replace', label: 'replaced' },
          { value: 'keep', label: 'stays' },
          { value: 'template', label: 'template' },
        ]"
        :name="`What becomes of ${name}`"
        @update:model-value="setUse"
      />
    </div>
  </section>
</template>

<style scoped>
.body {
  display: grid;
  gap: 6px;
  padding: 8px 0 12px;
  border-top: 1px solid var(--paper-edge);
}

.head,
.signs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}

.head .text {
  flex: 1;
  font-weight: 600;
}

.signs label {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  min-height: var(--small-target);
}

.field-row {
  grid-template-columns: 170px 1fr;
}

.verdict {
  margin: 0;
  padding: 8px 12px;
  background: var(--rust-wash);
}

.verdict.keep {
  background: var(--moss-wash);
}
</style>
