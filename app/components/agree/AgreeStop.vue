<script setup lang="ts">
import { dayOf } from '~~/core/clock'
import {
  classSentences,
  CONCLUSION_PARTS,
  isChecked,
  isUnfinished,
  originOf,
  partsOf,
  readForClass,
  wordsUsed,
} from '~~/core/agree'
import { everyTable, evidenceOf } from '~~/core/evidence'
import { AGES, boundsOfHands, type Conclusion } from '~~/core/lesson'
import { stampedOrders } from '~~/core/predictions'
import {
  dayWords,
  doubtLead,
  doubtWordsOfConclusion,
  foresight,
  gradesInOne,
  handsForesight,
  nameOfGroup,
  PART_WORDS,
  startersOfEach,
  uncheckedWords,
  wordMat,
} from '~~/core/wording'
import GroupNotes from '~/components/agree/GroupNotes.vue'
import GroupSentences from '~/components/agree/GroupSentences.vue'
import NextTests from '~/components/agree/NextTests.vue'
import ReadBack from '~/components/agree/ReadBack.vue'
import VisitFeedback from '~/components/agree/VisitFeedback.vue'
import AppFold from '~/components/pieces/AppFold.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import PrintMenu from '~/components/pieces/PrintMenu.vue'
import QuestionLine from '~/components/pieces/QuestionLine.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import LongField from '~/forms/LongField.vue'
import NumberField from '~/forms/NumberField.vue'
import { useCustoms } from '~/composables/customs'
import { useSentence } from '~/composables/sentence'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** From the groups' sentences to one that the class agrees on, with a flag where it claims more than the evidence carries. */
const lesson = useLesson()
const writing = useRecordWriting()
const { say } = useCustoms()
const plan = computed(() => lesson.plan!)
const evidence = computed(() => evidenceOf(plan.value, lesson.record))
const sentences = computed(() => classSentences(lesson.record.conclusions))
const last = computed(() => sentences.value[0])
const field = useTemplateRef('field')
const box = computed(() => field.value?.element())
const { text, from, take, waiting } = useSentence(last, box)
const hands = ref<number | null>(last.value?.hands ?? null)

const read = computed(() =>
  evidence.value && text.value.trim() !== '' ? readForClass(text.value, plan.value, lesson.record) : undefined,
)
const tables = computed(() => everyTable(plan.value, lesson.record))
const starters = computed(() => startersOfEach(tables.value))
const parts = computed(() => partsOf(text.value, plan.value))
const words = computed(() => wordMat(plan.value).map(({ word }) => word.toLowerCase()))
const used = computed(() => new Set(wordsUsed(text.value, words.value)))
const orders = computed(() => stampedOrders(plan.value, lesson.record.predictions))
const foreseen = computed(() => {
  const own = evidence.value
  if (!own) return ''
  return [foresight(plan.value, own, orders.value), handsForesight(plan.value, own, lesson.record)].filter(Boolean).join(' ')
})
const asStored = computed(
  () => last.value !== undefined && last.value.text === text.value.trim() && last.value.hands === hands.value,
)
const origin = computed(() => last.value && originOf(last.value, lesson.record.conclusions))

async function begin(starter: string, source: Conclusion | undefined = undefined): Promise<void> {
  take(starter, source)
  await nextTick()
  field.value?.chooseHole()
}

async function keep(agreed: boolean): Promise<void> {
  const sentence = { id: newId(), group: null, from: from.value, text: text.value.trim(), hands: hands.value, agreed }
  if (sentence.text !== '') await writing.add('conclusion', sentence)
}
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Agree</h2>
      <p class="soft">One sentence the whole class can defend.</p>
      <span class="ml-auto">
        <PrintMenu :names="['report', 'group-report', 'poster-a3', 'poster-4a4', 'teacher-notes']" />
      </span>
    </div>
    <QuestionLine class="asked" />
    <EmptyNote
      v-if="!evidence || evidence.grade === 'nothing-yet'"
      title="Nothing to conclude from yet"
      begin="Take readings first"
      :to="`/lesson/${lesson.id}/test`"
    >
      The sentences here grow out of the result, such as “{{ say('Kitchen roll') }} came highest, and six of seven groups agree”.
    </EmptyNote>
    <template v-else>
      <section class="section first mt-near" aria-labelledby="conclusion">
        <h3 class="mb-close text-lead" id="conclusion">
          Our conclusion
          <span class="soft font-dense text-body font-normal" role="status">{{
            waiting
              ? 'not on the board yet: the server cannot be reached, your words are kept'
              : 'the board shows every word as it is written; other desks write along'
          }}</span>
        </h3>
        <LongField
          ref="field"
          v-model="text"
          bare
          class="sentence"
          label="Our conclusion"
          target="conclusion"
          :rows="4"
          placeholder="We found that …"
        />
        <ReadBack v-if="read" :text="text" :read="read" />
        <ul v-if="read && read.doubts.length > 0" class="doubts my-near mx-0" aria-live="polite">
          <li class="py-close px-near edge-left-4-beet bg-beet-light" v-for="(doubt, place) in read.doubts" :key="place">
            <strong>{{ doubtLead(doubt, plan) }}</strong>
            {{ doubtWordsOfConclusion(doubt, plan).text }}
          </li>
        </ul>
        <p v-if="read && isChecked(read)" class="my-close mx-0 text-leaf">
          <span aria-hidden="true">✓</span>
          Everything in it was checked against the table.
        </p>
        <p v-else-if="read && read.unread.length > 0" class="my-close mx-0 text-soft">{{ uncheckedWords(text, read) }}</p>
        <ul
          class="ticks flex flex-wrap gap-y-hair gap-x-part my-close mx-0 text-soft"
          aria-label="What a whole conclusion has in it"
        >
          <li v-for="part in CONCLUSION_PARTS" :key="part" :class="{ there: parts.includes(part) }">
            <span aria-hidden="true">{{ parts.includes(part) ? '●' : '○' }}</span>
            {{ PART_WORDS[part] }}<span class="sr-only">{{ parts.includes(part) ? ', is in it' : ', is missing' }}</span>
          </li>
        </ul>
        <div class="row items-end mt-near">
          <NumberField
            optional
            label="Hands up for it"
            :model-value="hands"
            v-bind="boundsOfHands(plan)"
            whole
            @update:model-value="hands = $event"
          />
          <MainBtn :disabled="text.trim() === '' || isUnfinished(text) || (asStored && last!.agreed)" @click="keep(true)">
            {{ asStored && last!.agreed ? 'Agreed' : 'We agree on this' }}
          </MainBtn>
          <VBtn :disabled="text.trim() === '' || asStored" @click="keep(false)"> Keep as a draft </VBtn>
          <p v-if="last?.agreed" class="hint">
            Agreed on {{ dayWords(dayOf(new Date(last.at)))
            }}<template v-if="last.hands !== null"> with {{ last.hands }} hands up</template
            ><template v-if="origin">, grown from what {{ nameOfGroup(plan, origin) }} said</template>.
          </p>
        </div>
        <p class="words flex flex-wrap gap-y-tight gap-x-near mt-near text-body">
          <span class="soft">Our words:</span>
          <span v-for="word in words" :key="word" class="word" :class="{ there: used.has(word) }"
            >{{ used.has(word) ? '● ' : '' }}{{ word }}</span
          >
        </p>
      </section>
      <GroupSentences :record="lesson.record" @use="begin($event.text, $event)" />
      <section class="section" aria-labelledby="starters">
        <h3 class="mb-close text-lead" id="starters">
          Ways to begin
          <span class="soft font-dense text-body font-normal"
            >that say no more than “{{ gradesInOne(tables).toLowerCase() }}”, for children of</span
          >
          <ChoiceField
            bare
            label="Age of the children"
            class="age"
            :model-value="plan.age"
            @update:model-value="lesson.edit((draft) => (draft.age = $event))"
            :options="AGES.map((age) => ({ value: age, title: age.replace('-', ' to ') }))"
          />
        </h3>
        <ul class="starters grid gap-near">
          <li v-for="starter in starters" :key="starter">
            <VBtn class="starter" @click="begin(starter)">{{ starter }}</VBtn>
          </li>
        </ul>
      </section>
      <div class="two">
        <section class="section" aria-labelledby="foreseen">
          <h3 class="mb-close text-lead" id="foreseen">What we predicted</h3>
          <p>{{ foreseen || 'No group predicted beforehand.' }}</p>
        </section>
        <NextTests />
      </div>
      <VisitFeedback :record="lesson.record" />
      <GroupNotes :record="lesson.record" />
      <AppFold title="Earlier wordings" :hint="`${sentences.length - 1}`" v-if="sentences.length > 1">
        <ul>
          <li v-for="one in sentences.slice(1)" :key="one.id" class="soft">{{ one.text }}</li>
        </ul>
      </AppFold>
    </template>
  </div>
</template>

<style scoped>
.asked {
  font-size: var(--type-title);
}
.age {
  display: inline-flex;
  width: 110px;
  margin-left: 6px;
}
.starter {
  justify-content: flex-start;
  width: 100%;
  border-color: var(--line);
  border-left: 4px solid var(--green);
  color: var(--ink);
  font-family: var(--heading);
  font-weight: 400;
  text-align: left;
}
.sentence {
  font-family: var(--heading);
  font-size: var(--type-lead);
}
.ticks .there {
  color: var(--ink);
}
.word {
  padding: 0 var(--gap-near);
  border: 1px solid var(--line);
  border-radius: var(--corner-glass);
}
.word.there {
  border-color: var(--ink);
  color: var(--ink);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: var(--gap-block);
}
</style>
