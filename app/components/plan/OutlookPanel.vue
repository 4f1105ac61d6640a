<script setup lang="ts">
import { BOUNDS, activeConditions, measuredCard } from '~~/core/lesson'
import { benchFigures, hasBench } from '~~/core/benches'
import { learnedWobble } from '~~/core/evidence'
import { applyWay, expectedUnit, outlookOf, waysToSee, WANTED_CHANCE, withExpected } from '~~/core/measuring'
import { practiceFigures } from '~~/core/record'
import { unitOf } from '~~/core/quantity'
import {
  adviserFigure,
  bestWords,
  clearWords,
  counted,
  neededWords,
  SOURCE_WORDS,
  wayChance,
  wayCost,
  wayWords,
  wobbleSourceWords,
} from '~~/core/wording'

/** Will we see it: how often this plan comes out clear, and what would help. A bar sets the repeats. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const method = computed(() => measuredCard(plan.value)?.method)
/** What the class's own readings show of its wobble, once there are enough. */
const learned = computed(() => learnedWobble(plan.value, lesson.record.readings))
const outlook = computed(() => outlookOf(plan.value, learned.value))
const ways = computed(() => waysToSee(plan.value, learned.value))
const chances = useChances(() => outlook.value)
const unit = computed(() => expectedUnit(plan.value))
const amount = (value: number) => adviserFigure(value, unit.value)
const practice = computed(() => practiceFigures(plan.value, lesson.record.readings))
const bench = computed(() => hasBench(plan.value))
const timed = computed(() => method.value?.instrument === 'number' && unitOf(method.value.unit).dimension === 'time')
const warming = ref(false)
const WarmUp = defineAsyncComponent(() => import('~/components/plan/WarmUp.vue'))

function guess(part: 'expectedLow' | 'expectedHigh', value: number | null): void {
  lesson.edit((draft) => {
    const own = measuredCard(draft)!.method
    Object.assign(own, { [part]: value, expected: {}, expectedFrom: 'guess' })
  })
}

function take(from: 'practice' | 'bench'): void {
  const figures = from === 'practice' ? practice.value : benchFigures(plan.value)
  if (figures) lesson.edit((draft) => (measuredCard(draft)!.method = withExpected(method.value!, figures, from)))
}
</script>

<template>
  <section class="section" aria-labelledby="outlook">
    <header class="row head">
      <h3 id="outlook">Will we see it?</h3>
      <div class="row settings">
        <NumberField
          bare
          steps
          label="Repeats of each condition"
          :model-value="plan.repeats"
          v-bind="BOUNDS.repeats"
          whole
          @update:model-value="lesson.edit((draft) => (draft.repeats = $event ?? 1))"
        />
        <span>repeats</span>
        <NumberField
          bare
          steps
          label="Practice trials"
          :model-value="plan.practice"
          v-bind="BOUNDS.practice"
          whole
          @update:model-value="lesson.edit((draft) => (draft.practice = $event ?? 0))"
        />
        <span>practice</span>
      </div>
    </header>
    <div class="sheet panel">
      <p v-if="method?.instrument === 'words'" class="hint whole">
        Words are compared by how often each was chosen: two or three children looking at each are enough to see whether they agree.
      </p>
      <template v-else-if="method">
        <dl>
          <dt>lowest we expect</dt>
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
          <dt>highest we expect</dt>
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
          <dt>they come from</dt>
          <dd>{{ SOURCE_WORDS[method.expectedFrom] }}</dd>
          <template v-if="outlook">
            <dt>neighbours apart</dt>
            <dd>{{ amount(outlook.closest) }}</dd>
            <dt>wobble per reading</dt>
            <dd>{{ amount(outlook.total) }}</dd>
            <dd class="hint from">
              {{ wobbleSourceWords(plan, outlook) }}
              <NuxtLink v-if="outlook.wobbleFrom === 'assumed'" :to="`/lesson/${lesson.id}/test?practice=yes`">practise</NuxtLink>
            </dd>
          </template>
          <dd v-if="practice || bench || timed" class="sources">
            <VBtn v-if="practice" size="small" @click="take('practice')">
              Take {{ counted(practice.count, 'practice reading') }}
            </VBtn>
            <VBtn v-if="bench" size="small" @click="take('bench')">Simulate it</VBtn>
            <VBtn v-if="timed" size="small" @click="warming = true">Stopwatch warm-up</VBtn>
          </dd>
        </dl>
        <div v-if="outlook" class="answer">
          <RepeatChart
            :chances="chances"
            :repeats="plan.repeats"
            :wanted="WANTED_CHANCE"
            @choose="lesson.edit((draft) => (draft.repeats = $event), 'repeats')"
          />
          <p>
            <strong>{{ clearWords(outlook) }}</strong> {{ bestWords(outlook) }} {{ neededWords(outlook, plan.repeats) }}
          </p>
          <ul v-if="ways.length > 0" class="ways" aria-label="What would do it">
            <li v-for="way in ways" :key="way.code">
              <VBtn size="small" @click="lesson.replace(applyWay(plan, way, newId))">
                {{ wayWords(way, plan) }}
              </VBtn>
              <span class="hint">{{ wayChance(way) }}, {{ wayCost(way) }}</span>
            </li>
          </ul>
        </div>
        <p v-else class="hint answer">
          {{
            activeConditions(plan).length < 2
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
.head h3 {
  font-size: var(--type-lead);
}
.settings {
  margin-left: auto;
  gap: var(--gap-close);
}
.settings span {
  margin-right: 8px;
  color: var(--soft);
}
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
dt {
  color: var(--soft);
}
dd {
  white-space: nowrap;
}
.ways {
  display: grid;
  gap: var(--gap-close);
  margin-top: 6px;
}
.ways li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-hair) var(--gap-near);
}
.answer {
  min-width: 0;
}
.from {
  grid-column: 1 / -1;
  white-space: normal;
}
.sources {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: var(--gap-close);
}
.whole {
  grid-column: 1 / -1;
}
@media (width < 700px) {
  .panel {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
