<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { evidenceOf } from '~~/core/evidence'
import { isEachChild, type LessonRecord } from '~~/core/lesson'
import { cameOut, guessesInSum, ownGuesses, predictionsByGroup, stampedOrders } from '~~/core/predictions'
import { foresight, guessesWords, guessWords, cameOutWords, ownerHeading, predictionSentence } from '~~/core/wording'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import GroupName from '~/components/pieces/GroupName.vue'

/** What each group predicted beside what came, and what changed its mind. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const alone = computed(() => isEachChild(plan.value))
const guesses = computed(() => (alone.value ? ownGuesses(plan.value, props.record) : []))
const inSum = computed(() => guessesInSum(plan.value, guesses.value))
const rows = computed(() =>
  predictionsByGroup(plan.value, props.record.predictions).map((one) => ({
    ...one,
    found: plan.value.groups.find(({ id }) => id === one.group)!,
    guesses: guesses.value.filter(({ group }) => group === one.group),
    came: one.stamped ? cameOutWords(plan.value, cameOut(plan.value, props.record, one.stamped)) : [],
  })),
)
const evidence = computed(() => evidenceOf(plan.value, props.record))
const orders = computed(() => stampedOrders(plan.value, props.record.predictions))
const changed = computed(() => rows.value.filter(({ later }) => later.length > 0).length)
</script>

<template>
  <section aria-label="Predictions and result">
    <p v-if="evidence && orders.length > 0" class="large mb-near font-heading text-title">
      {{ inSum ? guessesWords(plan, inSum) : foresight(plan, evidence, orders) }}
    </p>
    <EmptyNote v-if="orders.length === 0" title="Nobody predicted beforehand">
      Predictions that are written down before the first reading stand here beside the result.
    </EmptyNote>
    <table v-else class="ruled">
      <thead>
        <tr>
          <th scope="col">{{ ownerHeading(plan) }}</th>
          <th scope="col">Predicted</th>
          <th scope="col">How it came</th>
          <th v-if="changed > 0" scope="col">Changed its mind</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.group">
          <th scope="row"><GroupName :group="row.found" /></th>
          <td>{{ row.stamped ? predictionSentence(plan, row.stamped) : 'nothing written down' }}</td>
          <td>
            <p v-for="guess in row.guesses" :key="guess.condition">{{ guessWords(plan, guess) }}</p>
            <template v-if="row.guesses.length === 0">
              <p v-for="words in row.came" :key="words">{{ words }}</p>
              {{ row.came.length === 0 && row.stamped ? 'when every condition has a result' : '' }}
            </template>
          </td>
          <td v-if="changed > 0">
            <p v-for="one in row.later" :key="one.id">{{ predictionSentence(plan, one) }}</p>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="plan.challenge === null" class="mt-wide">
      <QuietBtn size="small" :to="{ query: { part: 'check' } }" replace>Check it with something new …</QuietBtn>
    </p>
  </section>
</template>

<style scoped>
.ruled td,
.ruled th {
  vertical-align: top;
}
</style>
