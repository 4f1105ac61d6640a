<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST } from '~~/core/lesson'
import { isUnfinished, offersOf, readForGroup } from '~~/core/agree'
import { everyTable } from '~~/core/evidence'
import type { LessonRecord } from '~~/core/lesson'
import { doubtLead, doubtWordsOfConclusion, FIRST_WORDS_OF_SENTENCE, startersOfEach } from '~~/core/wording'
import type { NewProposal } from '~~/core/lesson'
import ReadBack from '~/components/agree/ReadBack.vue'
import LongField from '~/forms/LongField.vue'
import { newId } from '~/following/newId'

/** The group's own sentence for the class: a way to begin, words of its own, and a question where it says more than the numbers. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; all: boolean; group: string }>()
const emit = defineEmits<{ propose: [sentence: NewProposal]; close: [] }>()
const own = computed(() => offersOf(plan.value, props.record.conclusions).find(({ group }) => group === props.group))
const text = ref(own.value?.text ?? '')
const field = useTemplateRef('field')
/** Class results show in the starters only when the board may show them. */
const starters = computed(() => {
  const known = props.all ? startersOfEach(everyTable(plan.value, props.record)) : []
  return known.length > 0 ? known : FIRST_WORDS_OF_SENTENCE
})
/** The group's own numbers are its to quote, seen by the class or not. */
const read = computed(() =>
  text.value.trim() === '' ? undefined : readForGroup(text.value, plan.value, props.record, props.group, props.all),
)
const doubt = computed(() => read.value?.doubts[0])
const unfinished = computed(() => text.value.trim() === '' || isUnfinished(text.value))
const offered = computed(() => own.value !== undefined && own.value.text === text.value.trim())

async function begin(starter: string): Promise<void> {
  text.value = starter
  await nextTick()
  field.value?.chooseHole()
}
function offer(): void {
  if (!unfinished.value) emit('propose', { id: newId(), from: own.value?.id ?? null, text: text.value.trim() })
}
</script>

<template>
  <form class="station-form" @submit.prevent="offer">
    <h1>What did we find out?</h1>
    <ul class="grid gap-near" v-if="text === ''" aria-label="Ways to begin">
      <li v-for="starter in starters" :key="starter">
        <VBtn class="w-full min-h-56px justify-start font-heading text-lead font-normal text-left" @click="begin(starter)">{{
          starter
        }}</VBtn>
      </li>
    </ul>
    <LongField
      bare
      label="Our sentence"
      ref="field"
      v-model="text"
      :rows="4"
      :longest="LONGEST.proposal"
      placeholder="We found that …"
    />
    <ReadBack v-if="read" :text="text" :read="read" />
    <p v-if="doubt" class="doubt py-near px-wide edge-left-4-brass-mark bg-brass-light" aria-live="polite">
      <strong>{{ doubtLead(doubt, plan) }}</strong>
      {{ doubtWordsOfConclusion(doubt, plan).why }}
    </p>
    <div class="row">
      <VBtn @click="emit('close')">Back</VBtn>
      <MainBtn type="submit" class="grow" :disabled="unfinished || offered">
        {{ offered ? 'The class can see it' : 'Offer it to the class' }}
      </MainBtn>
    </div>
  </form>
</template>
