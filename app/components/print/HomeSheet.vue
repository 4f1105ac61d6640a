<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, keptFactors, letterOf } from '~~/core/lesson'
import { homeSheet } from '~~/core/reports'
import {
  careLines,
  FRAME_WORDS,
  homeReadingWords,
  nameOfCondition,
  question,
  SAFETY_LAST_WORD,
  unitsOfTrial,
} from '~~/core/wording'
import OnePage from '~/components/print/OnePage.vue'

/** What each child takes home: the question, a guess, and a place for every number with its day. Nobody's job stands on it. */
const plan = useLessonPlan()
const sheet = computed(() => homeSheet(plan.value))
const units = computed(() => unitsOfTrial(plan.value))
const care = computed(() => careLines(plan.value))
const kept = computed(() => keptFactors(plan.value).map(({ name, how }) => (how.trim() ? `${name} (${how})` : name)))
/** With one number for each condition the conditions go down the page. */
const single = computed(() => sheet.value.readings.length === 1)
</script>

<template>
  <div>
    <h1 class="screen-only">Home sheets: {{ plan.children }} children</h1>
    <OnePage
      v-for="(sheets, page) in sheet.pages"
      :key="page"
      class="homes"
      :class="{ 'new-page': page > 0, alone: sheet.pages[0] === 1 }"
    >
      <section v-for="child in sheets" :key="child" class="home keep-together">
        <header class="flex justify-between gap-6mm">
          <h2 class="text-15pt">{{ plan.title || 'Our test' }}, at home</h2>
          <p class="name">Name</p>
        </header>
        <p v-if="plan.changed && plan.measured" class="my-2mm mx-0 font-bold">{{ question(plan) }}</p>
        <p v-if="kept.length > 0">Keep the same: {{ kept.join('; ') }}.</p>
        <p class="guess">{{ FRAME_WORDS[plan.frame].name }}</p>
        <table v-if="single">
          <thead>
            <tr>
              <th>What I tested</th>
              <th>Day</th>
              <th>{{ units[0] ? `My number, in ${units[0]}` : 'What I found' }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="condition in activeConditions(plan)" :key="condition.id">
              <th>{{ letterOf(plan, condition.id) }} {{ nameOfCondition(plan, condition.id) }}</th>
              <td />
              <td />
            </tr>
          </tbody>
        </table>
        <table v-else>
          <thead>
            <tr>
              <th>When</th>
              <th v-if="sheet.readings.every(({ day }) => day === undefined)">Day</th>
              <th v-for="condition in activeConditions(plan)" :key="condition.id">
                {{ letterOf(plan, condition.id) }} {{ nameOfCondition(plan, condition.id) }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(reading, place) in sheet.readings" :key="reading.moment">
              <th>{{ homeReadingWords(plan, reading) }}</th>
              <td v-if="sheet.readings.every(({ day }) => day === undefined)" />
              <td v-for="condition in activeConditions(plan)" :key="condition.id" class="unit">{{ units[place] }}</td>
            </tr>
          </tbody>
        </table>
        <p class="mt-2mm">Do this with a grown-up. I noticed:</p>
        <span class="line" />
        <p v-for="line in care" :key="line.doer" class="mt-1mm">
          <strong>{{ line.who }}:</strong> {{ line.what }}.
        </p>
        <p v-if="care.length > 0" class="small">{{ SAFETY_LAST_WORD }}</p>
      </section>
    </OnePage>
  </div>
</template>

<style scoped>
.homes {
  font-size: max(9pt, calc(11.5pt * var(--fit)));
  line-height: 1.25;
}
.home {
  min-height: 122mm;
  padding: calc(5mm * var(--fit)) 0;
}
.home + .home {
  border-top: 1px dashed #000;
}
.alone .home {
  min-height: 0;
}
.name {
  flex: 0 0 70mm;
  border-bottom: 1px solid #000;
}
.guess {
  min-height: calc(14mm * var(--fit));
  margin-top: calc(2mm * var(--fit));
  border-bottom: 1px solid #000;
}
table {
  width: 100%;
  margin-top: calc(3mm * var(--fit));
  table-layout: fixed;
}
th,
td {
  height: max(6.5mm, calc(9mm * var(--fit)));
  padding: calc(1mm * var(--fit)) 2mm;
  border: 1.2px solid #000;
  font-size: max(9pt, calc(11pt * var(--fit)));
  line-height: 1.15;
  text-align: left;
  overflow-wrap: anywhere;
}
.unit {
  color: #444;
  text-align: right;
  vertical-align: bottom;
}
.line {
  display: block;
  height: max(6.5mm, calc(8mm * var(--fit)));
  border-bottom: 1px solid #000;
}
.small {
  font-size: 9pt;
}
</style>
