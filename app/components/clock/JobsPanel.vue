<script setup lang="ts">
import { jobsFor, seatsThere, sharingRota } from '~~/core/arrangement'
import { readNames } from '~~/core/lesson'
import { counted, minuteWords } from '~~/core/wording'

/** Jobs that turn in every group, who is away today, and how the groups tell each other afterwards. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const chosen = ref(plan.value.groups[0]?.id ?? '')
const group = computed(() => plan.value.groups.find(({ id }) => id === chosen.value) ?? plan.value.groups[0])
const SHOWN = 6
const turns = computed(() => (group.value ? jobsFor(seatsThere(group.value), plan.value.jobs.length, SHOWN) : []))
const rounds = computed(() => sharingRota(plan.value.groups.length).length)
const MOST_JOBS = 6
const MINUTES_EACH = 2

function toggle(id: string, seat: number): void {
  lesson.edit((draft) => {
    const own = draft.groups.find((one) => one.id === id)!
    own.away = own.away.includes(seat) ? own.away.filter((one) => one !== seat) : [...own.away, seat]
  })
}
</script>

<template>
  <details class="fold">
    <summary>
      <strong>Jobs and sharing</strong>
      <span class="soft">{{ plan.jobs.join(', ') }}; {{ counted(rounds, 'round') }} to hear every other group</span>
    </summary>
    <div class="row">
      <label class="field jobs">
        <span>Jobs, with commas between</span>
        <input
          class="box"
          :value="plan.jobs.join(', ')"
          @change="lesson.edit((draft) => (draft.jobs = readNames(($event.target as HTMLInputElement).value, MOST_JOBS)))"
        />
      </label>
      <PrintMenu :names="['jobs', 'rota']" />
    </div>
    <label class="second">
      <input
        type="checkbox"
        :checked="plan.secondReader"
        @change="lesson.edit((draft) => (draft.secondReader = ($event.target as HTMLInputElement).checked))"
      />
      A second child reads every number at the station before it is written down
    </label>
    <p class="hint">Tap a seat that is empty today; the turns are worked out anew.</p>
    <ul class="groups">
      <li v-for="one in plan.groups" :key="one.id">
        <GroupName :group="one" />
        <span class="seats">
          <button
            v-for="seat in one.seats"
            :key="seat"
            type="button"
            class="seat"
            :aria-pressed="one.away.includes(seat)"
            :aria-label="`${one.name}, seat ${seat} is away`"
            :class="{ away: one.away.includes(seat) }"
            @click="toggle(one.id, seat)"
          >
            {{ seat }}
          </button>
        </span>
      </li>
    </ul>
    <div v-if="group && plan.jobs.length > 0" class="row turns">
      <label class="field">
        <span>Turns of</span>
        <select v-model="chosen" class="box">
          <option v-for="one in plan.groups" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </label>
      <table class="ruled">
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
    <p class="hint">
      Afterwards every group hears every other one in {{ counted(rounds, 'round') }}: {{ minuteWords(rounds * MINUTES_EACH) }} at
      {{ MINUTES_EACH }} minutes each. The rota is on the printout.
    </p>
  </details>
</template>

<style scoped>
.row {
  align-items: flex-end;
  margin-top: 8px;
}
.second {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.second input {
  accent-color: var(--green);
}
.jobs {
  flex: 1;
}
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 4px 20px;
  margin: 6px 0;
}
.groups li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.seats {
  display: inline-flex;
  gap: 3px;
}
.seat {
  width: 26px;
  height: 26px;
  border: 1.5px solid var(--mark);
  border-radius: 50%;
  background: var(--card);
  cursor: pointer;
}
.seat.away {
  border-style: dashed;
  background: var(--brass-light);
  text-decoration: line-through;
}
.turns .ruled {
  flex: 1;
}
.turns td,
.turns th {
  padding: 3px 8px;
}
.turns {
  align-items: flex-start;
}
</style>
