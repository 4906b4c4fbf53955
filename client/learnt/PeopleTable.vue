<script setup lang="ts">
import { ref } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { BenchHand } from '../../contract/index.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { vTyped } from '../ui/v-typed.ts'

/** Who works at the bench, and how many times as long as the rates say each takes. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const newName = ref('')
const keep = (change: (people: readonly BenchHand[]) => readonly BenchHand[]) =>
  attempt(async () => {
    const { settings } = shop.lists!
    await shop.changeSettings({
      ...settings,
      workshop: { ...settings.workshop, people: [...change(settings.workshop.people)] },
    })
  })
function setFactor(name: string, event: Event): void {
  const n = Number((event.target as HTMLInputElement).value.trim().replace(',', '.'))
  if (!(n >= 0.5 && n <= 5)) return void (failed.value = phrase`${name}: a number from 0.5 to 5 is wanted.`)
  void keep((people) => people.map((p) => (p.name === name ? { ...p, factor: n } : p)))
}
async function add(): Promise<void> {
  const name = newName.value.trim()
  if (name === '') return void (failed.value = 'A name is wanted.')
  if (shop.workshop.people.some((p) => p.name.toLowerCase() === name.toLowerCase()))
    return void (failed.value = phrase`${name} is there already.`)
  await keep((people) => [...people, { name, factor: BEGINNER }])
  newName.value = ''
}
/** A beginner takes half as long again. */
const BEGINNER = 1.5
</script>

<template>
  <section class="sheet" aria-label="People at the bench">
    <h2>People at the bench</h2>
    <p class="quiet">
      Whose name stands at the bench of a work order sees its minutes at this pace. Bill and calendar stay by the rates;
      what is learnt of the rates leaves the pace out.
    </p>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <table v-if="shop.workshop.people.length > 0" class="ruled-table close-table">
      <thead>
        <tr>
          <th>Name</th>
          <th class="n">Times as long</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in shop.workshop.people" :key="p.name">
          <th scope="row">{{ p.name }}</th>
          <td class="n">
            <input
              v-typed="p.factor"
              class="text"
              inputmode="decimal"
              :aria-label="`Times as long: ${p.name}`"
              @change="setFactor(p.name, $event)"
            />
          </td>
          <td>
            <button type="button" class="plain-button" @click="keep((all) => all.filter((x) => x.name !== p.name))">
              Take out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form class="fields-in-line" @submit.prevent="add">
      <input v-model="newName" class="text" maxlength="40" aria-label="Name of a person" placeholder="a name" />
      <button type="submit" class="plain-button">Add</button>
    </form>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
}

td input {
  width: 70px;
  min-height: var(--small-target);
  text-align: right;
}

.failed {
  color: var(--rust);
}
</style>
