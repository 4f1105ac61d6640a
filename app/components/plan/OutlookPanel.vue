<script setup lang="ts">
import { BOUNDS, activeConditions, conditionName } from '~~/core/lesson'
import { readingSkill, skillChange, withReadingSkill, type ReadingSkill } from '~~/core/warmUps'
import { benchFigures, hasBench } from '~~/core/benches'
import { learnedWobble } from '~~/core/evidence'
import {
  applyWay,
  asksForMost,
  chanceOfSameNow,
  expectedUnit,
  expectedMost,
  expectsTheSame,
  outlookOf,
  waysToSee,
  WANTED_CHANCE,
  withExpected,
  withExpectedMost,
} from '~~/core/measuring'
import { practiceFigures } from '~~/core/record'
import { unitOf } from '~~/core/quantity'
import { firstSeries, kindOf } from '~~/core/test'
import {
  adviserFigure,
  bestWords,
  clearWords,
  fewGroupsWords,
  counted,
  neededWords,
  sameWords,
  skillWords,
  SOURCE_WORDS,
  wayChance,
  wayCost,
  wayWords,
  wobbleSourceWords,
} from '~~/core/wording'
import ExpectedWords from '~/components/plan/ExpectedWords.vue'
import RepeatChart from '~/components/plan/RepeatChart.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import NumberField from '~/forms/NumberField.vue'
import { useChances } from '~/composables/chances'
import { useCustoms } from '~/composables/customs'
import { useMeasureInHand } from '~/composables/measureInHand'
import { callServer } from '~/following/callServer'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** Will we see it: how often this plan comes out clear, and what would help. A bar sets the repeats. */
const lesson = useLesson()
const { say } = useCustoms()
const { plan, method, way: howRead, editMethod, replace } = useMeasureInHand()
/** What the class's own readings show of its wobble, once there are enough. */
const learned = computed(() => learnedWobble(plan.value, lesson.record.readings))
const outlook = computed(() => outlookOf(plan.value, learned.value))
const ways = computed(() => waysToSee(plan.value, learned.value))
const chances = useChances(() => outlook.value)
const unit = computed(() => expectedUnit(plan.value))
const amount = (value: number) => adviserFigure(value, unit.value)
const practice = computed(() => practiceFigures(plan.value, lesson.record.readings))
const bench = computed(() => hasBench(plan.value))
const timed = computed(() => howRead.value.isAmount && unitOf(method.value!.unit).dimension === 'time')
const warming = ref(false)
/** What the class's warm-ups show of how it reads, and how many repeats that makes. */
const skill = shallowRef<ReadingSkill>()
onMounted(() => void lookAtWarmUps())
async function lookAtWarmUps(): Promise<void> {
  const path = { lesson: lesson.id }
  const answer = await callServer('GET /api/lessons/[lesson]/warm-ups', { path }).catch(() => undefined)
  skill.value = answer && readingSkill(answer.errors)
}
const ownSkill = computed(() => {
  const change = skill.value && skillChange(plan.value, skill.value, learned.value)
  return change && skillWords(skill.value!, change)
})
const same = computed(() => (expectsTheSame(plan.value) ? sameWords(chanceOfSameNow(plan.value, learned.value)) : undefined))
const mostChoices = computed(() => [
  { value: '', title: 'not said' },
  ...activeConditions(firstSeries(plan.value)).map((one) => ({ value: one.id, title: conditionName(plan.value, one) })),
])
const takeSkill = () => editMethod((own) => withReadingSkill(own, skill.value!))
const WarmUp = defineAsyncComponent(() => import('~/components/plan/WarmUp.vue'))

function guess(part: 'expectedLow' | 'expectedHigh', value: number | null): void {
  editMethod((own) => ({ ...own, [part]: value, expected: {}, expectedFrom: 'guess' }))
}

function take(from: 'practice' | 'bench'): void {
  const figures = from === 'practice' ? practice.value : benchFigures(plan.value)
  if (figures) editMethod((own) => withExpected(own, figures, from))
}
</script>

<template>
  <section class="section" aria-labelledby="outlook">
    <header class="row head">
      <h3 class="text-lead" id="outlook">Will we see it?</h3>
      <div class="row settings ml-auto gap-close">
        <NumberField
          bare
          steps
          label="Repeats of each condition"
          :model-value="plan.repeats"
          v-bind="BOUNDS.repeats"
          whole
          @update:model-value="lesson.edit((draft) => (draft.repeats = $event ?? 1))"
        />
        <span class="mr-near text-soft">repeats</span>
        <NumberField
          bare
          steps
          label="Practice trials"
          :model-value="plan.practice"
          v-bind="BOUNDS.practice"
          whole
          @update:model-value="lesson.edit((draft) => (draft.practice = $event ?? 0))"
        />
        <span class="mr-near text-soft">practice</span>
      </div>
    </header>
    <div class="sheet panel">
      <p v-if="howRead.fromWords" class="hint whole col-span-full">
        Words are compared by how often each was chosen: two or three children looking at each are enough to see whether they agree.
        <template v-if="!howRead.ranks">Say what you think will come most often, and made-up classes can rehearse it.</template>
      </p>
      <ExpectedWords v-if="!howRead.ranks" />
      <template v-if="method && !howRead.fromWords">
        <dl>
          <dt class="text-soft">lowest we expect</dt>
          <dd>
            <NumberField
              bare
              optional
              label="Lowest result we expect"
              target="expected"
              :unit="unit"
              :model-value="method.expectedLow"
              @update:model-value="guess('expectedLow', $event)"
            />
          </dd>
          <dt class="text-soft">highest we expect</dt>
          <dd>
            <NumberField
              bare
              optional
              label="Highest result we expect"
              :unit="unit"
              :model-value="method.expectedHigh"
              @update:model-value="guess('expectedHigh', $event)"
            />
          </dd>
          <template v-if="asksForMost(plan)">
            <dt class="text-soft">gives most</dt>
            <dd>
              <ChoiceField
                bare
                label="Which do you expect to give most"
                :model-value="expectedMost(plan) ?? ''"
                :options="mostChoices"
                @update:model-value="editMethod(withExpectedMost(plan, $event === '' ? undefined : $event))"
              />
            </dd>
          </template>
          <dt class="text-soft">they come from</dt>
          <dd>{{ SOURCE_WORDS[method.expectedFrom] }}</dd>
          <template v-if="outlook">
            <dt class="text-soft">{{ say('neighbours') }} apart</dt>
            <dd>{{ amount(outlook.closest) }}</dd>
            <dt class="text-soft">wobble per reading</dt>
            <dd>{{ amount(outlook.total) }}</dd>
            <dd class="hint from">
              {{ wobbleSourceWords(plan, outlook) }}
              <NuxtLink v-if="outlook.wobbleFrom === 'assumed'" :to="`/lesson/${lesson.id}/test?practice=yes`">{{
                say('practise')
              }}</NuxtLink>
            </dd>
          </template>
          <dd v-if="practice || bench || timed" class="flex flex-wrap col-span-full gap-close">
            <VBtn v-if="practice" size="small" @click="take('practice')">
              Take {{ counted(practice.count, 'practice reading') }}
            </VBtn>
            <VBtn v-if="bench" size="small" @click="take('bench')">Simulate it</VBtn>
            <VBtn v-if="timed" size="small" @click="warming = true">Stopwatch warm-up</VBtn>
          </dd>
          <dd class="hint from">
            <NuxtLink :to="`/warm-ups/${lesson.id}`" target="_blank">Warm-ups for the class</NuxtLink>
            <template v-if="ownSkill"> · {{ ownSkill }} <LinkBtn @click="takeSkill">Take that wobble</LinkBtn></template>
          </dd>
        </dl>
        <div v-if="outlook" class="answer min-w-0">
          <RepeatChart
            :chances="chances"
            :repeats="plan.repeats"
            :wanted="WANTED_CHANCE"
            @choose="lesson.edit((draft) => (draft.repeats = $event), 'repeats')"
          />
          <p>
            <strong>{{ clearWords(outlook) }}</strong> {{ bestWords(outlook) }} {{ neededWords(outlook, plan.repeats) }}
            {{ fewGroupsWords(outlook) }}
          </p>
          <ul v-if="ways.length > 0" class="ways grid gap-close mt-close" aria-label="What would do it">
            <li v-for="way in ways" :key="way.code">
              <VBtn size="small" @click="replace(applyWay(plan, way, newId))">
                {{ wayWords(way, plan) }}
              </VBtn>
              <span class="hint">{{ wayChance(way) }}, {{ wayCost(way) }}</span>
            </li>
          </ul>
        </div>
        <p v-else-if="same" class="answer min-w-0">{{ same }}</p>
        <p v-else class="hint answer min-w-0">
          {{
            activeConditions(plan).length < kindOf(plan).fewestConditions
              ? 'Two conditions are needed first.'
              : 'Say the lowest and the highest result you expect, a guess is enough, and see how many repeats it takes.'
          }}
        </p>
      </template>
      <p v-else class="hint">Put a card into Measure first.</p>
    </div>
    <WarmUp v-if="warming" v-model="warming" />
  </section>
</template>

<style scoped>
.panel {
  display: grid;
  grid-template-columns: 268px minmax(0, 1fr);
  gap: var(--gap-block);
  margin-top: 8px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  align-items: center;
  align-content: start;
  gap: var(--gap-close) var(--gap-wide);
}
dd {
  white-space: nowrap;
}
.ways li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-hair) var(--gap-near);
}
.from {
  grid-column: 1 / -1;
  white-space: normal;
}
@media (width < 700px) {
  .panel {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
