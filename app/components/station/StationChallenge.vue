<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { conditionName, LONGEST, type NewPrediction, type NewReading } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { challengeMoment, challengeOf } from '~~/core/predictions'
import { challengePrompt, writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import MindLines from '~/components/pieces/MindLines.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { readingRow } from '~/following/readingRow'
import { useNumberEntry } from '~/composables/numberEntry'

/** The last challenge: the group guesses what something new will give, then tests it once. */
const plan = useLessonPlan()
const props = defineProps<{ group: string; guess: number | undefined }>()
const emit = defineEmits<{ stamp: [prediction: NewPrediction]; written: [readings: NewReading[]] }>()
const { read } = useNumberEntry()
const condition = computed(() => challengeOf(plan.value)!)
const unit = computed(() => testOf(plan.value).unit)
const text = ref('')
const reason = ref('')
const trouble = ref('')
watch(
  () => props.guess,
  () => (text.value = ''),
)

function submit(): void {
  const found = read(plan.value, text.value)
  trouble.value = found.trouble
  if (found.value === undefined) return
  const { group } = props
  const { id } = condition.value
  if (props.guess === undefined) {
    const values = { [id]: found.value }
    return emit('stamp', { id: newId(), group, as: 'challenge', order: [], values, reason: reason.value.trim(), measure: null })
  }
  const place = { group, condition: id, repeat: 1, moment: challengeMoment(plan.value), practice: false }
  emit('written', [readingRow(place, found.value, unit.value, found.entered)])
}
</script>

<template>
  <form class="station-form" @submit.prevent="submit">
    <p class="soft">Last challenge</p>
    <h1>{{ conditionName(plan, condition) }}</h1>
    <p v-if="guess === undefined">{{ challengePrompt(plan, conditionName(plan, condition)) }}</p>
    <p v-else>
      You guessed <strong>{{ writeReading(plan, guess, unit) }}</strong>. Test it once and write down what you see.
    </p>
    <MindLines v-if="guess !== undefined" :plan="plan" :conditions="[condition.id]" />
    <TextField
      v-model="text"
      :label="guess === undefined ? 'Our guess' : 'What we saw'"
      :longest="LONGEST.entry"
      inputmode="decimal"
      :suffix="unitOf(unit).symbol"
      :error="trouble"
    />
    <TextField v-if="guess === undefined" v-model="reason" label="Because" :longest="LONGEST.said" />
    <MainBtn type="submit" :disabled="text.trim() === ''">
      {{ guess === undefined ? 'This is our guess' : 'Write it down' }}
    </MainBtn>
  </form>
</template>
