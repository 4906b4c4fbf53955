<script setup lang="ts">
import { computed, ref } from 'vue'
import { KeptSchool, textLimits } from '../../../contract/index.ts'
import { MAKE_UPS } from '../../../core/cover/index.ts'
import { isOf, withoutSchool, withSchool } from '../../../core/schools/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'

/** The shop's own ways of this make-up, by name: kept in the allowance book for every later job. */
const jobs = useJob()
const shop = useShop()
const name = ref('')
const failed = ref('')
const kind = computed(() => jobs.job!.makeUp.construction.kind)
const all = computed(() => shop.lists?.settings.schools ?? [])
const own = computed(() => all.value.filter(isOf(kind.value)))

async function change(schools: KeptSchool[]): Promise<void> {
  try {
    failed.value = ''
    await shop.changeSettings({ ...shop.lists!.settings, schools })
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}

async function keep(): Promise<void> {
  if (name.value.trim() === '') {
    failed.value = 'Name: the way wants a name to be found by. Type one, such as "ours, aboard".'
    return
  }
  await change(withSchool(all.value, name.value, jobs.job!))
  if (!failed.value) name.value = ''
}
</script>

<template>
  <h2>The shop’s own ways: {{ MAKE_UPS[kind].label.toLowerCase() }}</h2>
  <p class="quiet">How this job is built, closed and allowed for, kept by name for later jobs.</p>
  <form class="keep" @submit.prevent="keep">
    <input
      v-model="name"
      class="text"
      aria-label="Name of this way"
      placeholder="such as: ours, aboard"
      v-bind="textLimits(KeptSchool.shape.name)"
    />
    <button type="submit" class="plain-button">Keep this way</button>
  </form>
  <p v-if="failed" role="alert" class="failed">{{ failed }}</p>
  <ul v-if="own.length > 0" class="own">
    <li v-for="s in own" :key="s.name">
      {{ s.name }}
      <button
        type="button"
        class="plain-button"
        :aria-label="`Take ${s.name} out of the book`"
        @click="change(withoutSchool(all, s.name, kind))"
      >
        Take out
      </button>
    </li>
  </ul>
</template>

<style scoped>
.keep {
  display: flex;
  gap: 8px;
}

.keep input {
  flex: 1;
}

.failed {
  color: var(--rust);
}

.own {
  list-style: none;
  padding: 0;
}

.own li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
</style>
