<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { conditionsByGroup, jobRounds, seatsThere, trialsByGroup } from '~~/core/arrangement'
import { activeConditions, letterOf, type Group } from '~~/core/lesson'
import { eachMeasure, testOf } from '~~/core/test'
import {
  measureKey,
  nameOfCondition,
  orderLine,
  question,
  readingHeading,
  readingPlaces,
  REASONS,
  trialNumbers,
  unitsOfTrial,
  workedOutColumn,
  WAY_WORDS,
} from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import OnePage from '~/components/print/OnePage.vue'

/** One page for a group to write down what it measures and sees, where there is no tablet. It is keyed into the class grid later. */
const plan = useLessonPlan()
/** The unit of every number; of several measures each column says its own. */
const unit = computed(() => {
  const units = new Set(unitsOfTrial(plan.value))
  return units.size === 1 ? [...units][0]! : ''
})
const inWords = computed(() =>
  eachMeasure(plan.value).flatMap((view) => {
    const { way, words } = testOf(view)
    return way.fromWords ? [{ title: WAY_WORDS[way.code].words, words }] : []
  }),
)
const headings = computed(() => [
  ...(plan.value.practice > 0
    ? readingHeading(plan.value, 'practice').map((text, place) => ({
        text,
        practice: true,
        repeat: 0,
        unit: unitsOfTrial(plan.value)[place]!,
      }))
    : []),
  ...readingPlaces(plan.value).map((place) => ({ ...place, practice: false })),
])
/** The number of the trial in the group's own order, small in its place. */
const numbers = computed(() => new Map(plan.value.groups.map(({ id }) => [id, trialNumbers(plan.value, id)])))
const numberIn = (group: Group, condition: string, { repeat }: { repeat: number }) =>
  numbers.value.get(group.id)!.get(`${condition}/${repeat}`)
const isOwn = (group: Group, condition: string, { repeat, practice }: { repeat: number; practice: boolean }) =>
  practice || (trials.value.get(group.id) ?? []).some((one) => one.condition === condition && one.repeat === repeat)
const worked = computed(() => workedOutColumn(plan.value))
/** Many readings of each condition go down the page, few of them across. */
const MOST_ACROSS = 7
const down = computed(() => headings.value.length > MOST_ACROSS)
const own = computed(() => conditionsByGroup(plan.value))
const trials = computed(() => trialsByGroup(plan.value))
const conditionsOf = (group: Group) => activeConditions(plan.value).filter(({ id }) => own.value.get(group.id)!.includes(id))
const turnsOf = (group: Group) => jobRounds(seatsThere(group), plan.value.jobs.length, group.seats)
const SEEN_LINES = 4
const ODD_LINES = 2
</script>

<template>
  <div>
    <OnePage v-for="(group, place) in plan.groups" :key="group.id" class="sheet-page" :class="{ 'new-page': place > 0 }">
      <header>
        <h1 class="text-17pt">{{ plan.title || 'Our test' }}: what we measure</h1>
        <p class="flex gap-2mm items-center text-14pt nowrap"><ShapeBadge :size="20" :shape="group.shape" /> {{ group.name }}</p>
      </header>
      <p v-if="plan.changed && plan.measured" class="question my-3mm mx-0 text-13pt font-bold">{{ question(plan) }}</p>
      <ul v-if="plan.resetList.length > 0" class="resets flex flex-wrap gap-y-1.5mm gap-x-7mm">
        <li class="flex gap-2mm items-center" v-for="line in plan.resetList" :key="line"><span class="square" /> {{ line }}</li>
      </ul>
      <p v-if="orderLine(plan, group.id)" class="order my-2mm mx-0">
        <strong>Do your trials in this order:</strong> {{ orderLine(plan, group.id) }}. The small numbers say the same.
      </p>
      <p v-if="measureKey(plan)" class="mt-2mm">{{ measureKey(plan) }}.</p>
      <p v-for="{ title, words } in inWords" :key="words.join()" class="words mt-2mm">{{ title }}: {{ words.join(' · ') }}</p>
      <table v-if="!down">
        <thead>
          <tr>
            <th>{{ unit ? `every number in ${unit}` : '' }}</th>
            <th v-for="heading in headings" :key="heading.text" :class="{ practice: heading.practice }">{{ heading.text }}</th>
            <th v-if="worked">{{ worked }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="condition in conditionsOf(group)" :key="condition.id">
            <th>{{ letterOf(plan, condition.id) }} {{ nameOfCondition(plan, condition.id) }}</th>
            <td
              v-for="heading in headings"
              :key="heading.text"
              :class="{ practice: heading.practice, none: !isOwn(group, condition.id, heading) }"
            >
              <template v-if="isOwn(group, condition.id, heading)">
                <span class="nth">{{ numberIn(group, condition.id, heading) }}</span> {{ heading.unit }}
              </template>
            </td>
            <td v-if="worked" />
          </tr>
        </tbody>
      </table>
      <table v-else>
        <thead>
          <tr>
            <th>{{ unit ? `every number in ${unit}` : '' }}</th>
            <th v-for="condition in conditionsOf(group)" :key="condition.id">
              {{ letterOf(plan, condition.id) }} {{ nameOfCondition(plan, condition.id) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="heading in headings" :key="heading.text" class="low">
            <th>{{ heading.text }}</th>
            <td
              v-for="condition in conditionsOf(group)"
              :key="condition.id"
              :class="{ practice: heading.practice, none: !isOwn(group, condition.id, heading) }"
            >
              <template v-if="isOwn(group, condition.id, heading)">
                <span class="nth">{{ numberIn(group, condition.id, heading) }}</span> {{ heading.unit }}
              </template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="plan.jobs.length > 0 && turnsOf(group).length > 0" class="mt-3mm text-11pt">
        <strong>Jobs turn with every trial.</strong>
        <span v-for="turn in turnsOf(group)" :key="turn.trials[0]">
          Trial {{ turn.trials[0] }}: {{ plan.jobs.map((job, at) => `${job} ${turn.seats[at]}`).join(', ') }}.
        </span>
        Then from the start.
      </p>
      <h2 class="mt-5mm text-12pt">A number that went wrong: cross it out once, write why, do the trial again</h2>
      <p class="hint text-10pt">{{ REASONS.join(' · ') }}</p>
      <span v-for="line in ODD_LINES" :key="line" class="line" />
      <h2 class="mt-5mm text-12pt">What we saw, with the time</h2>
      <span v-for="line in SEEN_LINES" :key="line" class="line" />
    </OnePage>
  </div>
</template>

<style scoped>
header {
  display: flex;
  gap: 6mm;
  align-items: baseline;
  justify-content: space-between;
  border-bottom: 2px solid #000;
}
.sheet-page {
  font-size: max(9pt, calc(11.5pt * var(--fit)));
}
table {
  width: 100%;
  margin-top: calc(4mm * var(--fit));
  table-layout: fixed;
}
th,
td {
  height: max(6.5mm, calc(13mm * var(--fit)));
  padding: calc(1mm * var(--fit)) 2mm;
  border: 1.2px solid #000;
  font-size: max(9pt, calc(11pt * var(--fit)));
  line-height: 1.15;
  text-align: left;
  overflow-wrap: anywhere;
}
thead th,
.low > * {
  height: max(6.5mm, calc(8.5mm * var(--fit)));
}
th:first-child {
  width: 42mm;
}
td {
  color: #444;
  font-size: max(9pt, calc(10pt * var(--fit)));
  text-align: right;
  vertical-align: bottom;
}
.practice {
  border-style: dashed;
}
.nth {
  float: left;
  font-size: 9pt;
}
.none {
  background: repeating-linear-gradient(45deg, transparent 0 3mm, #000 3mm 3.15mm);
}
.line {
  display: block;
  height: max(6.5mm, calc(9mm * var(--fit)));
  border-bottom: 1px solid #000;
}
</style>
