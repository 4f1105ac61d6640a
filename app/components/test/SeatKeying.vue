<script setup lang="ts">
import { activeConditions, LONGEST } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { asksOneGuess, finished } from '~~/core/predictions'
import { nextSeat, placeOfSeat } from '~~/core/record'
import { nameOfCondition, readingWords, seatWords, sentenceCase, writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import NumberField from '~/forms/NumberField.vue'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { readingRow } from '~/following/readingRow'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNumberEntry } from '~/composables/numberEntry'

/** Strips keyed in one after the other: seat, guess, number, Enter, and the next seat that is still open. */
const lesson = useLesson()
const writing = useRecordWriting()
const plan = computed(() => lesson.plan!)
const readings = computed(() => lesson.record.readings)
const { read } = useNumberEntry(() => readings.value)
const seat = ref<number | null>(nextSeat(plan.value, readings.value, 0) ?? 1)
const guess = ref('')
const number = ref('')
const trouble = ref('')
const last = ref('')
const form = useTemplateRef<HTMLElement>('form')
const place = computed(() => (seat.value === null ? undefined : placeOfSeat(plan.value, readings.value, seat.value)))
const child = computed(() => plan.value.groups[(seat.value ?? 0) - 1])
const unit = computed(() => unitOf(testOf(plan.value).unit).symbol)
const asksGuess = computed(() => child.value !== undefined && asksOneGuess(plan.value, lesson.record, child.value.id))
const where = computed(() => {
  if (!child.value) return `There are ${plan.value.groups.length} seats.`
  if (!place.value) return `${child.value.name}: all written down.`
  const several = activeConditions(plan.value).length > 1 || plan.value.repeats > 1
  return several
    ? `${child.value.name}: ${nameOfCondition(plan.value, place.value.condition)}, trial ${place.value.repeat}`
    : child.value.name
})

async function write(): Promise<void> {
  if (!child.value || !place.value) return
  trouble.value = ''
  const typed = read(plan.value, number.value)
  if (typed.value === undefined) return void (trouble.value = typed.trouble)
  if (asksGuess.value && guess.value.trim() !== '' && !(await writeGuess())) return
  const row = readingRow(place.value, typed.value, typed.unit, number.value)
  const name = sentenceCase(seatWords(plan.value, row.group))
  if (!(await writing.addReadings([row]))) return
  last.value = `${name}: ${readingWords(plan.value, row)}`
  const next = nextSeat(plan.value, readings.value, seat.value!)
  guess.value = ''
  number.value = ''
  if (next !== undefined) seat.value = next
  await nextTick()
  form.value?.querySelector<HTMLInputElement>(asksGuess.value ? '[data-seat="guess"] input' : '[data-seat="number"] input')?.focus()
}

async function writeGuess(): Promise<boolean> {
  const typed = read(plan.value, guess.value)
  if (typed.value === undefined) {
    trouble.value = `The guess: ${typed.trouble}`
    return false
  }
  const values = { [activeConditions(plan.value)[0]!.id]: typed.value }
  const draft = finished(plan.value, { as: 'number', order: [], values })
  return writing.add('prediction', { id: newId(), group: child.value!.id, ...draft, reason: '', measure: null })
}
const lastWords = computed(() => last.value || `Enter goes to the next open seat.`)
const guessWords = computed(() => {
  const typed = guess.value === '' ? undefined : read(plan.value, guess.value)
  return typed?.value === undefined ? '' : writeReading(plan.value, typed.value, typed.unit)
})
</script>

<template>
  <section aria-label="Key in by seat" class="sheet">
    <h3 class="text-lead">Key in by seat</h3>
    <form ref="form" class="row items-end mt-tight" @submit.prevent="write">
      <NumberField
        label="Seat"
        :model-value="seat"
        :least="1"
        :most="plan.groups.length"
        whole
        @update:model-value="seat = $event"
      />
      <span v-if="asksGuess" data-seat="guess">
        <TextField v-model="guess" :label="`Guess (${unit})`" class="number" :longest="LONGEST.entry" inputmode="decimal" />
      </span>
      <span data-seat="number">
        <TextField v-model="number" :label="`Number (${unit})`" class="number" :longest="LONGEST.entry" inputmode="decimal" />
      </span>
      <MainBtn type="submit" size="small" :disabled="!place || number.trim() === ''">Write down</MainBtn>
      <span class="soft"
        >{{ where }}<template v-if="guessWords"> guessed {{ guessWords }}</template></span
      >
    </form>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
    <p v-else class="hint" role="status">{{ lastWords }}</p>
  </section>
</template>

<style scoped>
.number {
  width: 110px;
}
</style>
