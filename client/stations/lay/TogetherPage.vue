<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { MOST_JOINT_TICKETS, type JobSummary } from '../../../contract/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { clothCost } from '../../../core/what-if/index.ts'
import { listShelf } from '../../api/jobs.ts'
import { useJob } from '../../stores/job.ts'
import { useJoint } from '../../stores/joint/index.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useAttempt } from '../../ui/use-attempt.ts'
import { money } from '../../ui/manner.ts'

const ACCEPTED_LENGTH_MM = 0.01

/** Tickets of one cloth cut from one length: tried beside each by itself, kept in all of them, taken apart again. */
const jobs = useJob()
const lays = useLay()
const joint = useJoint()
const { failed, attempt } = useAttempt()
const others = shallowRef<readonly JobSummary[]>([])
const wanted = ref<string[]>([])
const unit = computed(() => jobs.job!.units)
const say = (mm: number) => formatLengthWithUnit(mm, unit.value)

onMounted(async () => {
  others.value = (await listShelf().catch(() => [])).filter((j) => j.id !== jobs.id)
})
onUnmounted(joint.drop)

const apartMm = computed(() => joint.trial?.tickets.map((t) => t.aloneMm) ?? [])
const saving = computed(() => {
  const [cloth, lay] = [lays.chosen?.cloth, joint.trial?.lay]
  if (!cloth || !lay) return null
  const apart = apartMm.value.reduce((sum, mm) => sum + clothCost(cloth, mm).cost, 0)
  const lessMm = apartMm.value.reduce((sum, mm) => sum + mm, 0) - lay.length
  return { lessMm, isLonger: lessMm < -ACCEPTED_LENGTH_MM, lessMoney: apart - clothCost(cloth, lay.length).cost }
})
const names = computed(() => joint.joint?.others.map((o) => o.ticket).join(', ') ?? '')
</script>

<template>
  <div class="together">
    <template v-if="joint.joint">
      <p>
        Cut together with {{ names }}: {{ say(joint.joint.lengthMm) }} in all, of which this ticket pays
        {{ say(joint.joint.shareMm) }}. The cloth leaves the shelf once, with the ticket that is taken first.
      </p>
      <p v-if="joint.changed.length > 0" class="failed" role="alert">
        {{ joint.changed.join(', ') }} changed since, or cannot be read: lay them together anew, or cut apart.
      </p>
      <button type="button" class="plain-button" @click="attempt(joint.cutApart)">Cut apart again</button>
    </template>
    <p v-else class="quiet">
      Other tickets of {{ lays.chosen?.cloth.name }}, as they are saved, on one length with this one. Kept, it is the
      lay of each of them.
    </p>
    <div class="fields-in-line">
      <ElSelect
        v-model="wanted"
        multiple
        filterable
        :multiple-limit="MOST_JOINT_TICKETS - 1"
        aria-label="Other tickets"
        placeholder="other tickets"
        no-data-text="There is no other ticket."
        class="tickets"
        ><ElOption v-for="j in others" :key="j.id" :value="j.id" :label="`${j.ticket} ${j.title}`"
      /></ElSelect>
      <button v-if="joint.running" type="button" class="plain-button" @click="joint.stop">Stop</button>
      <button
        v-else
        type="button"
        class="plain-button"
        :disabled="wanted.length === 0"
        @click="attempt(() => joint.tryWith(wanted))"
      >
        Lay them together
      </button>
    </div>
    <p v-if="joint.running && !joint.trial" role="status">Each is laid by itself first …</p>
    <template v-if="joint.trial">
      <p v-if="joint.trial.failed" class="failed" role="alert">{{ joint.trial.failed }}</p>
      <p v-else-if="!joint.trial.lay" role="status">Laying them together …</p>
      <template v-else-if="saving">
        <table class="ruled-table close-table">
          <tbody>
            <tr v-for="(t, i) in joint.trial.tickets" :key="t.jobId">
              <td>{{ t.ticket }} by itself</td>
              <td class="n">{{ say(apartMm[i]!) }}</td>
            </tr>
            <tr>
              <td>
                <b>together{{ joint.running ? ', as found so far' : '' }}</b>
              </td>
              <td class="n">
                <b>{{ say(joint.trial.lay.length) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <p role="status">
          {{
            saving.lessMm >= 1 ? `${say(saving.lessMm)} less cloth` : saving.isLonger ? 'More cloth' : 'No less cloth'
          }}
          on the table; {{ money(saving.lessMoney, jobs.job!.currency) }} saved as it is bought.
        </p>
        <div class="fields-in-line">
          <button
            type="button"
            class="plain-button main"
            :disabled="joint.running || saving.isLonger"
            @click="attempt(joint.keep)"
          >
            Keep it in all {{ joint.trial.tickets.length }} tickets
          </button>
          <button type="button" class="plain-button" @click="joint.drop">Leave it</button>
        </div>
      </template>
    </template>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
  </div>
</template>

<style scoped>
.together {
  display: grid;
  justify-items: start;
  gap: 8px;
}

.together p {
  margin: 0;
}

.tickets {
  width: 300px;
}

.failed {
  color: var(--rust);
}
</style>
