<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, letterOf, type NewReading } from '~~/core/lesson'
import { atMoment, momentOf, testOf } from '~~/core/test'
import { unitOf } from '~~/core/quantity'
import { cellKey, type AskedEntry, type Cell, type Doubt } from '~~/core/record'
import { doubtWords, nameOfCondition, whenWords, writeReading } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import MindLines from '~/components/pieces/MindLines.vue'
import TextField from '~/forms/TextField.vue'
import { readingRow } from '~/following/readingRow'
import { useNumberEntry } from '~/composables/numberEntry'
import { keptAsIs, putRight, rowPartOf, useQuestioning, type Questioned } from '~/composables/questioning'

/** Several places in one jar read at one go: a number for each, all written down together. */
const plan = useLessonPlan()
const props = defineProps<{ check: (entries: AskedEntry[]) => Promise<Doubt[][]>; cells: Cell[] }>()
const { read } = useNumberEntry()
const emit = defineEmits<{ written: [readings: NewReading[]]; skip: [cell: Cell] }>()
const first = computed(() => props.cells[0]!)
/** The lesson as the measure of these places sees it. */
const ofMeasure = computed(() => atMoment(plan.value, first.value.moment))
const unit = computed(() => testOf(ofMeasure.value).unit)
const texts = ref<Record<string, string>>(Object.fromEntries(props.cells.map((cell) => [cellKey(cell), ''])))
const troubles = ref<Record<string, string>>({})
const { checking, question } = useQuestioning(props.check)
const asked = ref<Record<string, Questioned>>({})
/** Numbers that were asked about and answered for, each with the text that it holds for. */
const answered = ref<Record<string, { text: string; questioned: Questioned }>>({})
const doubtAt = (cell: Cell) => asked.value[cellKey(cell)]?.doubts[0]
const suggestedFor = (cell: Cell) => {
  const doubt = doubtAt(cell)
  return doubt && 'suggested' in doubt ? doubt.suggested : undefined
}
const placeOf = (cell: Cell) => momentOf(plan.value, cell.moment)?.place ?? ''

function answer(cell: Cell, suggested: number | undefined): void {
  const key = cellKey(cell)
  const before = asked.value[key]!
  const questioned = suggested === undefined ? keptAsIs(before) : putRight(before, suggested)
  if (suggested !== undefined) texts.value[key] = String(suggested)
  if (questioned.doubts.length > 0) return void (asked.value[key] = questioned)
  answered.value[key] = { text: texts.value[key]!.trim(), questioned }
  asked.value = Object.fromEntries(Object.entries(asked.value).filter(([other]) => other !== key))
}

async function submit(): Promise<void> {
  if (checking.value) return
  troubles.value = {}
  asked.value = {}
  const typed = props.cells.flatMap((cell) => {
    const key = cellKey(cell)
    const text = (texts.value[key] ?? '').trim()
    if (text === '') return []
    const found = read(ofMeasure.value, text)
    if (found.value === undefined) troubles.value[key] = found.trouble
    return found.value === undefined ? [] : [{ cell, key, text, value: found.value }]
  })
  // What is no number is said at once: a press that follows must not meet a question that is still under way.
  if (Object.keys(troubles.value).length > 0) return
  // Whatever was answered for stands, until somebody types something else.
  const standing = ({ key, text }: (typeof typed)[number]) =>
    answered.value[key]?.text === text ? answered.value[key].questioned : undefined
  const unsure = typed.filter((one) => !standing(one))
  const now = await question(unsure.map(({ cell, text, value }) => ({ ...cell, value, unit: unit.value, entered: text })))
  const questioned = typed.map((one) => ({ ...one, found: standing(one) ?? now[unsure.indexOf(one)]! }))
  for (const { key, found } of questioned) if (found.doubts.length > 0) asked.value[key] = found
  if (typed.length === 0) troubles.value[cellKey(first.value)] = 'Type what you read.'
  if (Object.keys(troubles.value).length > 0 || Object.keys(asked.value).length > 0) return
  const rows = questioned.map(({ cell, found }) => ({
    ...readingRow(cell, found.value, unit.value, found.entered),
    ...rowPartOf(found),
  }))
  emit('written', rows)
}
</script>

<template>
  <form class="grid grid-cols-1 gap-wide max-w-520px py-wide px-0" @submit.prevent="submit">
    <div class="condition flex gap-wide items-center">
      <ConditionBadge
        :size="58"
        :letter="letterOf(plan, first.condition)"
        :place="plan.conditions.findIndex(({ id }) => id === first.condition)"
      />
      <div>
        <h1 class="text-huge">{{ nameOfCondition(plan, first.condition) }}</h1>
        <p class="text-large font-bold">{{ whenWords(plan, first.moment) }}</p>
        <p v-if="plan.repeats > 1">trial {{ first.repeat }} of {{ plan.repeats }}</p>
      </div>
    </div>
    <MindLines :plan="plan" :conditions="[first.condition]" />
    <div v-for="cell in cells" :key="cellKey(cell)" class="place grid gap-tight">
      <TextField
        v-model="texts[cellKey(cell)]!"
        class="reading"
        inline
        :label="placeOf(cell)"
        :longest="LONGEST.entry"
        inputmode="decimal"
        :suffix="unitOf(unit).symbol"
        :error="troubles[cellKey(cell)]"
      />
      <div v-if="asked[cellKey(cell)]" class="ask grid gap-near p-near edge-2-brass-mark rounded bg-brass-light" role="alert">
        {{ doubtWords(ofMeasure, asked[cellKey(cell)]!.value, unit, doubtAt(cell)!) }}
        <div class="row">
          <VBtn v-if="suggestedFor(cell) !== undefined" @click="answer(cell, suggestedFor(cell))">
            It is {{ writeReading(ofMeasure, suggestedFor(cell)!, unit) }}
          </VBtn>
          <VBtn @click="answer(cell, undefined)">It is right</VBtn>
        </div>
      </div>
    </div>
    <MainBtn type="submit">Write them down</MainBtn>
    <LinkBtn @click="emit('skip', first)">One at a time, with another instrument</LinkBtn>
  </form>
</template>
