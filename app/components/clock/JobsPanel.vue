<script setup lang="ts">
import { jobsFor, seatsThere, sharingRota, visitRota } from '~~/core/arrangement'
import { readNames } from '~~/core/test'
import { counted, minuteWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import PrintMenu from '~/components/pieces/PrintMenu.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import TextField from '~/forms/TextField.vue'
import TickField from '~/forms/TickField.vue'
import { useLesson } from '~/stores/lesson'

/** Jobs that turn in every group, and how the groups tell each other afterwards. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const chosen = ref(plan.value.groups[0]?.id ?? '')
const group = computed(() => plan.value.groups.find(({ id }) => id === chosen.value) ?? plan.value.groups[0])
const SHOWN = 6
const turns = computed(() => (group.value ? jobsFor(seatsThere(group.value), plan.value.jobs.length, SHOWN) : []))
const rounds = computed(() => sharingRota(plan.value.groups.length).length)
const visits = computed(() => visitRota(plan.value.groups))
/** Two rounds let everybody go and stay once; the printout has them all. */
const ROUNDS = 4
const MOST_JOBS = 6
const MINUTES_EACH = 2
</script>

<template>
  <AppFold title="Jobs and sharing" :hint="`${plan.jobs.join(', ')}; ${counted(rounds, 'round')} to hear every other group`">
    <div class="row">
      <TextField
        label="Jobs, with commas between"
        class="jobs"
        lazy
        :model-value="plan.jobs.join(', ')"
        @update:model-value="lesson.edit((draft) => (draft.jobs = readNames($event, MOST_JOBS)))"
      />
      <PrintMenu :names="['jobs', 'rota']" />
    </div>
    <TickField
      label="A second child reads every number at the station before it is written down"
      class="second"
      :model-value="plan.secondReader"
      @update:model-value="lesson.edit((draft) => (draft.secondReader = $event))"
    />
    <p class="hint">Who is away today is said in the class, under the name of the lesson; the turns follow.</p>
    <div v-if="group && plan.jobs.length > 0" class="row turns">
      <ChoiceField label="Turns of" v-model="chosen" :options="plan.groups.map((one) => ({ value: one.id, title: one.name }))" />
      <table class="ruled flex-1">
        <thead>
          <tr>
            <th scope="col">Trial</th>
            <th v-for="job in plan.jobs" :key="job" scope="col">{{ job }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="turn in turns" :key="turn.trial">
            <th scope="row">{{ turn.trial }}</th>
            <td v-for="(seat, place) in turn.seats" :key="place">seat {{ seat }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <table v-if="visits.length > 0" class="ruled mt-near">
      <caption class="sr-only">
        Visits: who goes and listens
      </caption>
      <thead>
        <tr>
          <th scope="col">Visits: seats that go and listen</th>
          <th v-for="(_, round) in visits.slice(0, ROUNDS)" :key="round" scope="col">round {{ round + 1 }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="({ group: from }, at) in visits[0]" :key="from">
          <th scope="row">{{ plan.groups[from]!.name }}</th>
          <td v-for="(round, place) in visits.slice(0, ROUNDS)" :key="place">
            {{ round[at]!.going.join(', ') || '–' }} to {{ plan.groups[round[at]!.to]!.name }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="hint">
      Afterwards every group hears every other one in {{ counted(rounds, 'round') }}: {{ minuteWords(rounds * MINUTES_EACH) }} at
      {{ MINUTES_EACH }} minutes each. The rota is on the printout.
    </p>
  </AppFold>
</template>

<style scoped>
.row {
  align-items: flex-end;
  margin-top: 8px;
}
.second {
  display: flex;
  gap: var(--gap-near);
  margin-top: 8px;
}
.jobs {
  flex: 1;
}
.turns td,
.turns th {
  padding: var(--gap-tight) var(--gap-near);
}
.turns {
  align-items: flex-start;
}
</style>
