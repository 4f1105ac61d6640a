<script setup lang="ts">
import { partsShown, type Draft, type DraftChoices, type DraftPart as Part } from '~~/core/draft'
import type { Plan } from '~~/core/lesson'
import { careLines } from '~~/core/wording'
import DraftPart from '~/components/draft/DraftPart.vue'
import DraftQuestion from '~/components/draft/DraftQuestion.vue'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import WithPlan from '~/components/pieces/WithPlan.vue'
import { useDrafting } from '~/composables/drafting'
import LongField from '~/forms/LongField.vue'
import type { DraftAsk } from '~/workers/drafting'

/** From one line to a draft: what was read of it, what was assumed, what has to be asked. */
const line = defineModel<string>({ required: true })
const props = defineProps<{ into: DraftAsk['into']; take: string }>()
const emit = defineEmits<{ take: [plan: Plan] }>()
const LONGEST_LINE = 600
const choices = ref<DraftChoices>({})
// Another line is read anew.
watch(line, () => (choices.value = {}))
const { draft, nothing, reading } = useDrafting(() => ({ line: line.value, choices: choices.value, into: props.into }))
const care = computed(() => (draft.value ? careLines(draft.value.plan) : []))
/** What was read of the line before anybody said otherwise: a part stays in its list when it is changed. */
const first = shallowRef<Draft>()
watch(draft, (now) => {
  if (Object.keys(choices.value).length === 0) first.value = now
  focusAnswer()
})
const lists = computed(() => draft.value && partsShown(first.value ?? draft.value, draft.value, choices.value))

const sheet = useTemplateRef<HTMLElement>('sheet')
let answered: Part | undefined

function choose(more: DraftChoices): void {
  const hows = more.hows ? { hows: { ...choices.value.hows, ...more.hows } } : {}
  choices.value = { ...choices.value, ...more, ...hows }
}

/** The question goes away with its buttons: the focus goes to what it became. */
function answer(part: Part, more: DraftChoices): void {
  answered = part
  choose(more)
}

function focusAnswer(): void {
  const part = answered
  answered = undefined
  if (part) void nextTick(() => sheet.value?.querySelector<HTMLLabelElement>(`[data-part="${part}"] label`)?.control?.focus())
}
</script>

<template>
  <section ref="sheet" class="drafting flex flex-col gap-wide" aria-label="From one line to a draft">
    <h2 class="sr-only">From one line to a draft</h2>
    <LongField
      v-model="line"
      label="What do you have in mind?"
      :rows="2"
      :longest="LONGEST_LINE"
      placeholder="Which paper drinks water highest: kitchen roll, tissue or card?"
    />
    <p v-if="nothing" class="trouble" role="status">
      From this alone no test can be made. Say what you change or compare, and what you look at: “Which soap makes bubbles that last
      longest?”
    </p>
    <p v-else-if="!draft" class="hint">
      A question, a wondering, a few words with a list: it is read here, on this computer, and a draft stands below.
    </p>
    <template v-else>
      <div class="row">
        <WithPlan :plan="draft.plan"><QuestionLine class="text-title flex-1 min-w-0" /></WithPlan>
        <MainBtn :disabled="reading" @click="emit('take', draft.plan)">{{ take }}</MainBtn>
      </div>
      <ul v-if="draft.asked.length > 0" class="asked sheet" aria-label="Not said yet">
        <DraftQuestion
          v-for="question in draft.asked"
          :key="question.part"
          :draft="draft"
          :question="question"
          @choose="answer(question.part, $event)"
        />
      </ul>
      <div class="grid grid-cols-2 gap-block columns">
        <section>
          <h3 class="text-lead">What I took from it</h3>
          <ul class="parts">
            <DraftPart
              v-for="{ part, quote } in lists!.taken"
              :key="part"
              :draft="draft"
              :part="part"
              :quote="quote"
              @choose="choose"
            />
          </ul>
          <h3 v-if="lists!.assumed.includes('kept')" class="text-lead mt-wide">Usually kept the same: how?</h3>
          <ul v-if="lists!.assumed.includes('kept')" class="parts">
            <DraftPart :draft="draft" part="kept" @choose="choose" />
          </ul>
        </section>
        <section>
          <h3 class="text-lead">What I assumed</h3>
          <ul class="parts">
            <DraftPart
              v-for="part in lists!.assumed.filter((one) => one !== 'kept')"
              :key="part"
              :draft="draft"
              :part="part"
              @choose="choose"
            />
          </ul>
          <p class="hint">Whatever is not said yet, and everything else, can be changed on the stops of the lesson.</p>
        </section>
      </div>
      <ul v-if="care.length > 0" class="care" aria-label="Take care">
        <li v-for="one in care" :key="one.what">
          <strong>{{ one.who }}:</strong> {{ one.what }}
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  list-style: none;
}
.parts {
  padding: 0;
}
.asked,
.parts {
  display: flex;
  flex-direction: column;
  gap: var(--gap-near);
}
.asked {
  background: var(--brass-light);
}
.care {
  padding-left: var(--gap-part);
  list-style: disc;
}
@media (width < 760px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
