<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { doubtsOfConclusion, isUnfinished, offersOf } from '~~/core/agree'
import { evidenceOf } from '~~/core/evidence'
import type { LessonRecord, Plan } from '~~/core/lesson'
import { doubtLead, doubtWordsOfConclusion, FIRST_WORDS_OF_SENTENCE, sentenceStarters } from '~~/core/wording'
import type { NewProposal } from '~~/core/lesson'

/** The group's own sentence for the class: a way to begin, words of its own, and a question where it says more than the numbers. */
const props = defineProps<{ plan: Plan; record: LessonRecord; all: boolean; group: string }>()
const emit = defineEmits<{ propose: [sentence: NewProposal]; close: [] }>()
const own = computed(() => offersOf(props.plan, props.record.conclusions).find(({ group }) => group === props.group))
const text = ref(own.value?.text ?? '')
const box = ref<HTMLTextAreaElement>()
/** Class results show in the starters only when the board may show them. */
const evidence = computed(() => (props.all ? evidenceOf(props.plan, props.record) : undefined))
const starters = computed(() => {
  const known = evidence.value ? sentenceStarters(props.plan, evidence.value) : []
  return known.length > 0 ? known : FIRST_WORDS_OF_SENTENCE
})
const doubt = computed(() =>
  evidence.value && text.value.trim() !== '' ? doubtsOfConclusion(text.value, props.plan, evidence.value)[0] : undefined,
)
const unfinished = computed(() => text.value.trim() === '' || isUnfinished(text.value))
const offered = computed(() => own.value !== undefined && own.value.text === text.value.trim())

async function begin(starter: string): Promise<void> {
  text.value = starter
  await nextTick()
  const hole = starter.indexOf('…')
  box.value?.focus()
  if (hole >= 0) box.value?.setSelectionRange(hole, hole + 1)
}
function offer(): void {
  if (!unfinished.value) emit('propose', { id: newId(), from: own.value?.id ?? null, text: text.value.trim() })
}
</script>

<template>
  <form class="station-form" @submit.prevent="offer">
    <h1>What did we find out?</h1>
    <ul v-if="text === ''" aria-label="Ways to begin">
      <li v-for="starter in starters" :key="starter">
        <button type="button" class="button begin" @click="begin(starter)">{{ starter }}</button>
      </li>
    </ul>
    <label>
      <span class="sr-only">Our sentence</span>
      <textarea ref="box" v-model="text" class="box" rows="4" :maxlength="LONGEST.proposal" placeholder="We found that …" />
    </label>
    <p v-if="doubt" class="doubt" aria-live="polite">
      <strong>{{ doubtLead(doubt, plan) }}</strong>
      {{ doubtWordsOfConclusion(doubt, plan).why }}
    </p>
    <div class="row">
      <button type="button" class="button large" @click="emit('close')">Back</button>
      <button type="submit" class="button main large grow" :disabled="unfinished || offered">
        {{ offered ? 'The class can see it' : 'Offer it to the class' }}
      </button>
    </div>
  </form>
</template>

<style scoped>
ul {
  display: grid;
  gap: 8px;
}
.begin {
  width: 100%;
  min-height: 56px;
  justify-content: flex-start;
  font-family: var(--heading);
  font-size: 17px;
  font-weight: 400;
  text-align: left;
}
textarea {
  padding: 8px 12px;
  border: 1.5px solid var(--ink);
  font-size: 20px;
}
.doubt {
  padding: 8px 12px;
  border-left: 4px solid var(--brass-mark);
  background: var(--brass-light);
}
</style>
