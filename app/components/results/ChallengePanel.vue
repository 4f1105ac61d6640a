<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, type LessonRecord } from '~~/core/lesson'
import { unitOf } from '~~/core/quantity'
import { challengeMoment, challengeTable, seenBy, withChallenge, withoutChallenge } from '~~/core/predictions'
import { usedIn } from '~~/core/record'
import { challengeSentences, nameOfGroup, writeFigure, writeReading } from '~~/core/wording'
import { testOf } from '~~/core/test'
import TextField from '~/forms/TextField.vue'
import { newId } from '~/following/newId'
import { readingRow } from '~/following/readingRow'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'
import { useNumberEntry } from '~/composables/numberEntry'

/** Check it: something new, predicted by each group out of what the class found, tested and laid beside. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const writing = useRecordWriting()
const { read } = useNumberEntry(() => props.record.readings)
const label = ref('')
const troubles = ref<Record<string, string>>({})
const challenge = computed(() => challengeTable(plan.value, props.record))
const unit = computed(() => testOf(plan.value).unit)
const begin = () => {
  if (label.value.trim() !== '') lesson.replace(withChallenge(lesson.plan!, label.value.trim(), newId))
}
const end = () => lesson.replace(withoutChallenge(lesson.plan!, usedIn(lesson.record).conditions))
const textOf = (value: number | undefined) => (value === undefined ? '' : writeReading(plan.value, value, unit.value))

function typed(key: string, text: string): number | undefined {
  const { value, trouble } = read(plan.value, text)
  troubles.value = { ...troubles.value, [key]: text.trim() === '' ? '' : trouble }
  return value
}
async function guess(group: string, text: string): Promise<void> {
  const value = typed(`guess/${group}`, text)
  const { condition } = challenge.value!
  if (value !== undefined)
    await writing.add('prediction', {
      id: newId(),
      group,
      as: 'challenge',
      order: [],
      values: { [condition]: value },
      reason: '',
      measure: null,
    })
}
async function see(group: string, text: string): Promise<void> {
  const value = typed(`seen/${group}`, text)
  if (value === undefined) return
  const before = seenBy(plan.value, props.record.readings, group)
  if (before)
    return void (await writing.supersede(before, { value, unit: unit.value, entered: text, reason: 'corrected at the desk' }))
  const place = { group, condition: challenge.value!.condition, repeat: 1, moment: challengeMoment(plan.value), practice: false }
  await writing.addReadings([readingRow(place, value, unit.value, text)])
}
</script>

<template>
  <section aria-label="Check it">
    <form v-if="!challenge" class="sheet grid gap-near" @submit.prevent="begin">
      <h3 class="text-lead">A last challenge: something nobody has tested</h3>
      <p>
        Each group guesses from what the class found, tests it once, and both are laid beside each other. It changes nothing of the
        results.
      </p>
      <div class="row items-end">
        <TextField
          v-model="label"
          class="new"
          label="Something new to test"
          :longest="LONGEST.name"
          placeholder="for example another kind, or a number in between"
        />
        <MainBtn type="submit" :disabled="label.trim() === ''">Give it to the groups</MainBtn>
      </div>
    </form>
    <template v-else>
      <div class="row">
        <h3 class="text-large grow">Last challenge: {{ challenge.name }}</h3>
        <VBtn size="small" @click="end">End the challenge</VBtn>
      </div>
      <p v-for="sentence in challengeSentences(plan, challenge)" :key="sentence" class="font-heading text-lead">{{ sentence }}</p>
      <table class="ruled mt-near">
        <caption class="sr-only">
          What each group guessed and saw
        </caption>
        <thead>
          <tr>
            <th scope="col">Group</th>
            <th scope="col">Guessed{{ unitOf(unit).symbol ? ` (${unitOf(unit).symbol})` : '' }}</th>
            <th scope="col">Seen{{ unitOf(unit).symbol ? ` (${unitOf(unit).symbol})` : '' }}</th>
            <th scope="col" class="figure">Apart</th>
            <th scope="col">Why they thought so</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in challenge.rows" :key="row.group">
            <th scope="row">{{ nameOfGroup(plan, row.group) }}</th>
            <td>
              <TextField
                bare
                lazy
                :label="`${nameOfGroup(plan, row.group)} guessed`"
                :longest="LONGEST.entry"
                :model-value="textOf(row.guess)"
                :error="troubles[`guess/${row.group}`]"
                @update:model-value="guess(row.group, $event)"
              />
            </td>
            <td>
              <TextField
                bare
                lazy
                :label="`${nameOfGroup(plan, row.group)} saw`"
                :longest="LONGEST.entry"
                :model-value="textOf(row.seen)"
                :error="troubles[`seen/${row.group}`]"
                @update:model-value="see(row.group, $event)"
              />
            </td>
            <td class="figure">
              {{ row.apart === undefined ? '–' : writeFigure(plan, row.apart, unit) }}
            </td>
            <td>{{ row.reason }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
.new {
  flex: 1;
}
</style>
