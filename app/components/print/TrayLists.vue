<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { cautionsOf, needsOf, type Need, type School } from '~~/core/kit'
import { isEachChild } from '~~/core/lesson'
import {
  dayWords,
  amountWords,
  careLines,
  cautionWords,
  counted,
  doerWords,
  measuredWords,
  question,
  SAFETY_LAST_WORD,
  trialSum,
} from '~~/core/wording'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import { useCustoms } from '~/composables/customs'

/** What the class needs on one page, then a list with tick boxes for every group's tray. */
const plan = useLessonPlan()
const props = defineProps<{ school: School }>()
const { kitchen, say } = useCustoms()
const needs = computed(() =>
  needsOf(plan.value, props.school)
    .filter(({ forClass }) => forClass > 0)
    .map((need) => ({ ...need, name: plan.value.materials.find((one) => one.id === need.material)!.name })),
)
const onTray = (group: string) => needs.value.filter((need) => (need.trays[group] ?? 0) > 0)
const elsewhere = computed(() => needs.value.filter((need) => need.perTray === undefined && need.forClass > 0))
const eachTray = ({ trays, perTray, unit }: Need) =>
  perTray === undefined
    ? ''
    : `${new Set(Object.values(trays)).size > 1 ? 'up to ' : ''}${measuredWords(perTray, unit, kitchen.value)}`
/** The trays of children are all alike. */
const trays = computed(() => (isEachChild(plan.value) ? plan.value.groups.slice(0, 1) : plan.value.groups))
const cautions = computed(() => cautionsOf(plan.value))
const care = computed(() => careLines(plan.value))
</script>

<template>
  <div>
    <section>
      <h1 class="text-20pt">{{ plan.title || 'Lesson' }}: for the whole class</h1>
      <p>Class {{ plan.className }}{{ plan.date ? `, ${dayWords(plan.date)}` : '' }}. {{ trialSum(plan) }}.</p>
      <table class="ruled list mt-3mm font-heading">
        <thead>
          <tr>
            <th class="w-11mm">Got</th>
            <th>Thing</th>
            <th class="figure">Class</th>
            <th class="figure">of it spare</th>
            <th class="figure">Each tray</th>
            <th class="figure">Short</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="need in needs" :key="need.material">
            <td class="w-11mm"><span class="square" /></td>
            <td>{{ need.name }}</td>
            <td class="figure">
              <strong>{{ measuredWords(need.forClass, need.unit, kitchen) }}</strong>
            </td>
            <td class="figure">{{ need.spare > 0 ? amountWords(need.spare, need.unit) : '' }}</td>
            <td class="figure">{{ eachTray(need) }}</td>
            <td class="figure">
              {{
                need.short > 0
                  ? amountWords(need.short, need.unit) + (need.packs ? `: ${counted(need.packs.count, 'pack')}` : '')
                  : ''
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <h2>Take care</h2>
      <ul class="care">
        <li class="flex gap-3mm py-0.8mm px-0" v-for="one in cautions" :key="one.caution">
          <span class="square" />
          <span>
            <strong>{{ say(cautionWords(one.caution).name) }}: {{ doerWords(one.doer) }}.</strong>
            {{ say(cautionWords(one.caution).what) }}
            <template v-if="one.notHere"> Not here: {{ one.notHere }}.</template>
          </span>
        </li>
        <li class="flex gap-3mm py-0.8mm px-0" v-for="own in plan.ownCautions" :key="own.id">
          <span class="square" />
          <span
            ><strong>{{ own.text }}</strong> ({{ doerWords(own.doer) }})</span
          >
        </li>
      </ul>
      <p class="last mt-3mm font-bold">{{ SAFETY_LAST_WORD }}</p>
    </section>
    <section
      v-for="(group, place) in trays"
      :key="group.id"
      class="tray keep-together pb-6mm"
      :class="{ 'new-page': place % 2 === 0 }"
    >
      <h2>
        <template v-if="isEachChild(plan)">For each child, {{ counted(plan.groups.length, 'time') }}</template>
        <template v-else>
          <ShapeBadge :size="22" :shape="group.shape" />
          {{ group.name }}
          <span class="soft text-11pt font-normal">{{ counted(group.seats, 'seat') }}</span>
        </template>
      </h2>
      <p>{{ question(plan) }}</p>
      <table class="ruled list mt-3mm font-heading">
        <tbody>
          <tr v-for="need in onTray(group.id)" :key="need.material">
            <td class="w-11mm"><span class="square" /></td>
            <td>{{ need.name }}</td>
            <td class="figure">
              <strong>{{ measuredWords(need.trays[group.id]!, need.unit, kitchen) }}</strong>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="elsewhere.length > 0" class="care mt-2mm text-10pt">
        Not on the tray:
        {{
          elsewhere
            .map(({ name, forClass, unit }) => `${name} (${measuredWords(forClass, unit, kitchen)} for the class)`)
            .join(', ')
        }}.
      </p>
      <p v-if="care.length > 0" class="care mt-2mm text-10pt">
        <strong>Take care.</strong>
        <span v-for="{ doer, who, what } in care" :key="doer">
          <strong>{{ who }}:</strong> {{ what }}.
        </span>
      </p>
      <p class="care mt-2mm text-10pt">{{ SAFETY_LAST_WORD }}</p>
    </section>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: center;
  gap: 8px;
  margin: 5mm 0 2mm;
  font-size: 15pt;
}
.list td {
  padding: 1.1mm 2mm;
}
p.care span::before {
  content: ' ';
}
.tray + .tray:not(.new-page) {
  border-top: 1.5px dashed #000;
}
</style>
