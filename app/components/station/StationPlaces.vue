<script setup lang="ts">
import { LONGEST, letterOf, type Plan, type NewReading } from '~~/core/lesson'
import { atMoment, momentOf, testOf } from '~~/core/test'
import { unitOf } from '~~/core/quantity'
import { cellKey, type AskedEntry, type Cell, type Doubt } from '~~/core/record'
import { doubtWords, nameOfCondition, whenWords, writeReading } from '~~/core/wording'
import ConditionBadge from '~/components/pieces/ConditionBadge.vue'
import TextField from '~/forms/TextField.vue'
import { readingRow } from '~/following/readingRow'
import { useNumberEntry } from '~/composables/numberEntry'

/** Several places in one jar read at one go: a number for each, all written down together. */
const props = defineProps<{ plan: Plan; check: (entries: AskedEntry[]) => Promise<Doubt[][]>; cells: Cell[] }>()
const { read } = useNumberEntry()
const emit = defineEmits<{ written: [readings: NewReading[]]; skip: [cell: Cell] }>()
const first = computed(() => props.cells[0]!)
/** The lesson as the measure of these places sees it. */
const ofMeasure = computed(() => atMoment(props.plan, first.value.moment))
const unit = computed(() => testOf(ofMeasure.value).unit)
const texts = ref<Record<string, string>>(Object.fromEntries(props.cells.map((cell) => [cellKey(cell), ''])))
const troubles = ref<Record<string, string>>({})
const asked = ref<Record<string, { value: number; doubt: Doubt }>>({})
/** Numbers that were asked about and said to be right. */
const sure = ref(new Set<string>())
const suggestedFor = (cell: Cell) => {
  const doubt = asked.value[cellKey(cell)]?.doubt
  return doubt && 'suggested' in doubt ? doubt.suggested : undefined
}
const placeOf = (cell: Cell) => momentOf(props.plan, cell.moment)?.place ?? ''

function answer(cell: Cell, value: number | undefined): void {
  const key = cellKey(cell)
  if (value !== undefined) texts.value[key] = String(value)
  sure.value.add(key)
  asked.value = Object.fromEntries(Object.entries(asked.value).filter(([other]) => other !== key))
}

const checking = ref(false)

async function submit(): Promise<void> {
  if (checking.value) return
  troubles.value = {}
  asked.value = {}
  const unsure: AskedEntry[] = []
  const rows = props.cells.flatMap((cell) => {
    const key = cellKey(cell)
    const text = (texts.value[key] ?? '').trim()
    if (text === '') return []
    const found = read(ofMeasure.value, text)
    if (found.value === undefined) {
      troubles.value[key] = found.trouble
      return []
    }
    const entry = { ...cell, value: found.value, unit: unit.value, entered: text }
    if (!sure.value.has(key)) unsure.push(entry)
    return [{ ...readingRow(cell, found.value, unit.value, text), confirmed: sure.value.has(key) }]
  })
  checking.value = true
  const doubts = unsure.length > 0 ? await props.check(unsure) : []
  checking.value = false
  for (const [place, entry] of unsure.entries()) {
    const [doubt] = doubts[place] ?? []
    if (doubt) asked.value[cellKey({ ...entry, practice: first.value.practice })] = { value: entry.value, doubt }
  }
  if (rows.length === 0 && Object.keys(troubles.value).length === 0) troubles.value[cellKey(first.value)] = 'Type what you read.'
  if (Object.keys(troubles.value).length > 0 || Object.keys(asked.value).length > 0) return
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
        {{ doubtWords(ofMeasure, asked[cellKey(cell)]!.value, unit, asked[cellKey(cell)]!.doubt) }}
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
