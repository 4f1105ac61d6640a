<script setup lang="ts">
import { dayOf } from '~~/core/clock'
import { classSentences, CONCLUSION_PARTS, doubtsOfConclusion, isUnfinished, originOf, partsOf, wordsUsed } from '~~/core/agree'
import { evidenceOf } from '~~/core/evidence'
import { BOUNDS, LONGEST, AGES, type Age, type Conclusion } from '~~/core/lesson'
import { stampedOrders } from '~~/core/predictions'
import {
  dayWords,
  doubtLead,
  doubtWordsOfConclusion,
  foresight,
  gradeName,
  handsForesight,
  nameOfGroup,
  PART_WORDS,
  sentenceStarters,
  wordMat,
} from '~~/core/wording'

/** From the groups' sentences to one that the class agrees on, with a flag where it claims more than the evidence carries. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const evidence = computed(() => evidenceOf(plan.value, lesson.record))
const sentences = computed(() => classSentences(lesson.record.conclusions))
const last = computed(() => sentences.value[0])
const box = ref<HTMLTextAreaElement>()
const { text, from, take, waiting } = useSentence(last, box)
const hands = ref<number | null>(last.value?.hands ?? null)

const doubts = computed(() =>
  evidence.value && text.value.trim() !== '' ? doubtsOfConclusion(text.value, plan.value, evidence.value) : [],
)
const starters = computed(() => (evidence.value ? sentenceStarters(plan.value, evidence.value) : []))
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
  const hole = starter.indexOf('…')
  box.value?.focus()
  if (hole >= 0) box.value?.setSelectionRange(hole, hole + 1)
}

async function keep(agreed: boolean): Promise<void> {
  const sentence = { id: newId(), group: null, from: from.value, text: text.value.trim(), hands: hands.value, agreed }
  if (sentence.text !== '') await lesson.addConclusion(sentence)
}
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Agree</h2>
      <p class="soft">One sentence the whole class can defend.</p>
      <span class="print">
        <PrintMenu :names="['report', 'group-report', 'poster-a3', 'poster-4a4', 'teacher-notes']" />
      </span>
    </div>
    <QuestionLine :plan="plan" class="asked" />
    <div v-if="!evidence || evidence.grade === 'nothing-yet'" class="empty-note">
      <strong>Nothing to conclude from yet</strong>
      The sentences here grow out of the result, such as “Kitchen roll came highest, and six of seven groups agree”.
      <NuxtLink :to="`/lesson/${lesson.id}/test`">Readings</NuxtLink>
      are needed first.
    </div>
    <template v-else>
      <section class="section first" aria-labelledby="conclusion">
        <h3 id="conclusion">
          Our conclusion
          <span class="soft" role="status">{{
            waiting
              ? 'not on the board yet: the server cannot be reached, your words are kept'
              : 'the board shows every word as it is written; other desks write along'
          }}</span>
        </h3>
        <textarea
          ref="box"
          v-model="text"
          class="box"
          rows="4"
          :maxlength="LONGEST.text"
          data-target="conclusion"
          aria-labelledby="conclusion"
          placeholder="We found that …"
        />
        <ul v-if="doubts.length > 0" class="doubts" aria-live="polite">
          <li v-for="doubt in doubts" :key="doubt.code">
            <strong>{{ doubtLead(doubt, plan) }}</strong>
            {{ doubtWordsOfConclusion(doubt, plan).text }}
          </li>
        </ul>
        <p v-else-if="text.trim() !== ''" class="fine">
          <span aria-hidden="true">✓</span>
          It says what the numbers carry, and how sure you are.
        </p>
        <ul class="ticks" aria-label="What a whole conclusion has in it">
          <li v-for="part in CONCLUSION_PARTS" :key="part" :class="{ there: parts.includes(part) }">
            <span aria-hidden="true">{{ parts.includes(part) ? '✓' : '○' }}</span>
            {{ PART_WORDS[part] }}<span class="sr-only">{{ parts.includes(part) ? ', is in it' : ', is missing' }}</span>
          </li>
        </ul>
        <div class="row">
          <NumberField
            optional
            label="Hands up for it"
            :model-value="hands"
            v-bind="BOUNDS.hands"
            whole
            @update:model-value="hands = $event"
          />
          <button
            type="button"
            class="button main"
            :disabled="text.trim() === '' || isUnfinished(text) || (asStored && last!.agreed)"
            @click="keep(true)"
          >
            {{ asStored && last!.agreed ? 'Agreed' : 'We agree on this' }}
          </button>
          <button type="button" class="button" :disabled="text.trim() === '' || asStored" @click="keep(false)">
            Keep as a draft
          </button>
          <p v-if="last?.agreed" class="hint">
            Agreed on {{ dayWords(dayOf(new Date(last.at)))
            }}<template v-if="last.hands !== null"> with {{ last.hands }} hands up</template
            ><template v-if="origin">, grown from what {{ nameOfGroup(plan, origin) }} said</template>.
          </p>
        </div>
        <p class="words">
          <span class="soft">Our words:</span>
          <span v-for="word in words" :key="word" class="word" :class="{ there: used.has(word) }"
            >{{ used.has(word) ? '✓ ' : '' }}{{ word }}</span
          >
        </p>
      </section>
      <GroupSentences :plan="plan" :record="lesson.record" @use="begin($event.text, $event)" />
      <section class="section" aria-labelledby="starters">
        <h3 id="starters">
          Ways to begin
          <span class="soft">that say no more than “{{ gradeName(evidence).toLowerCase() }}”, for children of</span>
          <select
            class="box age"
            aria-label="Age of the children"
            :value="plan.age"
            @change="lesson.edit((draft) => (draft.age = ($event.target as HTMLSelectElement).value as Age))"
          >
            <option v-for="age in AGES" :key="age" :value="age">{{ age.replace('-', ' to ') }}</option>
          </select>
        </h3>
        <ul class="starters">
          <li v-for="starter in starters" :key="starter">
            <button type="button" @click="begin(starter)">{{ starter }}</button>
          </li>
        </ul>
      </section>
      <div class="two">
        <section class="section" aria-labelledby="foreseen">
          <h3 id="foreseen">What we predicted</h3>
          <p>{{ foreseen || 'No group predicted beforehand.' }}</p>
        </section>
        <NextTests />
      </div>
      <GroupNotes :plan="plan" :record="lesson.record" />
      <details v-if="sentences.length > 1" class="fold">
        <summary><strong>Earlier wordings</strong> {{ sentences.length - 1 }}</summary>
        <ul>
          <li v-for="one in sentences.slice(1)" :key="one.id" class="soft">{{ one.text }}</li>
        </ul>
      </details>
    </template>
  </div>
</template>

<style scoped>
.print {
  margin-left: auto;
}
.asked {
  font-size: 20px;
}
.first {
  margin-top: 8px;
}
h3 {
  margin-bottom: 6px;
  font-size: 17px;
}
h3 span {
  font-family: var(--dense);
  font-size: 15px;
  font-weight: 400;
}
.age {
  width: auto;
  margin-left: 6px;
  min-height: 30px;
  font-family: var(--dense);
  font-size: 15px;
}
.starters {
  display: grid;
  gap: 8px;
}
.starters button {
  width: 100%;
  padding: 9px 14px;
  border: 1px solid var(--line);
  border-left: 4px solid var(--green);
  border-radius: var(--corner);
  background: var(--card);
  font-family: var(--heading);
  text-align: left;
  cursor: pointer;
}
.starters button:hover {
  background: var(--green-light);
}
.section .box {
  font-family: var(--heading);
  font-size: 19px;
}
.section .age {
  font-family: var(--dense);
  font-size: 15px;
}
.doubts {
  margin: 8px 0;
}
.doubts li {
  padding: 6px 10px;
  border-left: 4px solid var(--beet);
  background: var(--beet-light);
}
.fine {
  margin: 6px 0;
  color: var(--leaf);
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 6px 0;
  color: var(--soft);
}
.ticks .there {
  color: var(--leaf);
}
.row {
  align-items: flex-end;
  margin-top: 8px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-top: 8px;
  font-size: 15px;
}
.word {
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 10px;
}
.word.there {
  border-color: var(--leaf);
  color: var(--leaf);
}
.two {
  display: grid;
  grid-template-columns: 1fr 1.6fr;
  gap: 24px;
}
</style>
