<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { activeConditions, letterOf } from '~~/core/lesson'
import { comparesMoments, firstSeries, predictionOf, kindOf } from '~~/core/test'
import { changesAsked, linePoints } from '~~/core/predictions'
import { endsOf, FRAME_WORDS, momentWords, nameOfCondition, predictionPrompt, question } from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import OnePage from '~/components/print/OnePage.vue'

/** A slip for every group to cut out: its order, the longest or highest first, and why. Four to a page. */
const plan = useLessonPlan()
/** Of several series the first is predicted. */
const asked = computed(() => firstSeries(plan.value))
const as = computed(() => predictionOf(asked.value))
const points = computed(() => linePoints(asked.value))
const xOf = (place: number) => 60 + (place * 220) / Math.max(1, points.value.length - 1)
const pointName = (id: string) => (kindOf(plan.value).watches ? momentWords(plan.value, id) : nameOfCondition(asked.value, id))
const A_PAGE = 4
const pages = computed(() =>
  Array.from({ length: Math.ceil(plan.value.groups.length / A_PAGE) }, (_, page) =>
    plan.value.groups.slice(page * A_PAGE, (page + 1) * A_PAGE),
  ),
)
</script>

<template>
  <div>
    <h1 class="screen-only">Prediction slips</h1>
    <OnePage v-for="(groups, page) in pages" :key="page" class="slips" :class="{ 'new-page': page > 0 }">
      <section v-for="group in groups" :key="group.id" class="slip keep-together">
        <h2 class="flex items-center gap-2mm text-15pt"><ShapeBadge :size="18" :shape="group.shape" /> {{ group.name }}</h2>
        <p class="question my-2mm mx-0 font-bold">{{ question(plan) }}</p>
        <p class="conditions flex flex-wrap gap-y-1mm gap-x-5mm">
          <span v-for="condition in activeConditions(asked)" :key="condition.id"
            ><strong>{{ letterOf(plan, condition.id) }}</strong> {{ nameOfCondition(asked, condition.id) }}</span
          >
        </p>
        <p>{{ predictionPrompt(asked) }}</p>
        <p v-if="as === 'order' || as === 'most-least'" class="order flex flex-wrap items-center gap-2mm my-2mm mx-0">
          {{ endsOf(asked).most }}
          <span v-for="n in as === 'order' ? activeConditions(asked).length : 2" :key="n" class="box" />
          {{ endsOf(asked).least }}
        </p>
        <svg v-else-if="as === 'line'" viewBox="0 0 300 150" class="axes w-full" aria-hidden="true">
          <path d="M40 8V126H292" fill="none" stroke="#000" stroke-width="1.5" />
          <template v-for="(point, place) in points" :key="point.id">
            <line :x1="xOf(place)" :x2="xOf(place)" y1="126" y2="131" stroke="#000" />
            <text :x="xOf(place)" y="145" text-anchor="middle">{{ pointName(point.id) }}</text>
          </template>
        </svg>
        <ul v-else class="values">
          <li
            class="flex gap-3mm py-1mm px-0"
            v-for="id in as === 'change' ? changesAsked(asked) : activeConditions(asked).map((one) => one.id)"
            :key="id"
          >
            <strong>{{ comparesMoments(asked) && as === 'change' ? nameOfCondition(asked, id) : letterOf(plan, id) }}</strong>
            <template v-if="as === 'change'">more · the same · less</template>
            <span v-else class="line" />
          </li>
        </ul>
        <p>{{ FRAME_WORDS[plan.frame].name }}</p>
        <p class="line" />
        <p class="line" />
        <p class="line" />
      </section>
    </OnePage>
  </div>
</template>

<style scoped>
.slips {
  display: grid;
  grid-template-columns: 1fr 1fr;
  font-size: max(9pt, calc(11.5pt * var(--fit)));
  line-height: 1.25;
}
.question {
  font-size: 1.1em;
}
.slip {
  min-height: 122mm;
  padding: calc(5mm * var(--fit));
  border: 1px dashed #000;
}
.box {
  width: calc(11mm * var(--fit));
  height: calc(11mm * var(--fit));
  border: 1.5px solid #000;
}
.line {
  height: max(6.5mm, calc(9mm * var(--fit)));
  border-bottom: 1px solid #000;
}
.axes text {
  font-size: 11px;
}
</style>
