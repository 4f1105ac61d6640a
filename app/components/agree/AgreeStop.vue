<script setup lang="ts">
import { doubtsOfConclusion } from '~~/core/agree'
import { evidenceOf } from '~~/core/evidence'
import { predictionsByGroup } from '~~/core/predictions'
import { doubtWordsOfConclusion, foresight, GRADE_NAMES, nextQuestions, sentenceStarters } from '~~/core/wording'

/** From the result to one sentence the class agrees on, with a flag where it claims more than the evidence carries. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const evidence = computed(() => evidenceOf(plan.value, lesson.record))
const last = computed(() => lesson.record.conclusions.at(-1))
const text = ref(last.value?.text ?? '')
const hands = ref<number | null>(last.value?.hands ?? null)
watch(last, (now, before) => {
  if (now && text.value === (before?.text ?? '')) text.value = now.text
})

const doubts = computed(() =>
  evidence.value && text.value.trim() !== '' ? doubtsOfConclusion(text.value, plan.value, evidence.value) : [],
)
const starters = computed(() => (evidence.value ? sentenceStarters(plan.value, evidence.value) : []))
const orders = computed(() =>
  predictionsByGroup(plan.value, lesson.record.predictions).flatMap((one) => (one.stamped ? [one.stamped.order] : [])),
)
const asStored = computed(
  () => last.value !== undefined && last.value.text === text.value.trim() && last.value.hands === hands.value,
)
const earlier = computed(() => lesson.record.conclusions.slice(0, -1).reverse())
const box = ref<HTMLTextAreaElement>()

async function begin(starter: string): Promise<void> {
  text.value = starter
  await nextTick()
  const hole = starter.indexOf('…')
  box.value?.focus()
  if (hole >= 0) box.value?.setSelectionRange(hole, hole + 1)
}

async function keep(agreed: boolean): Promise<void> {
  if (text.value.trim() !== '') await lesson.addConclusion({ id: newId(), text: text.value.trim(), hands: hands.value, agreed })
}
</script>

<template>
  <div>
    <div class="stop-head">
      <h2>Agree</h2>
      <p class="soft">One sentence the whole class can defend.</p>
      <NuxtLink class="button print" :to="`/print/${lesson.id}/report`" target="_blank">Print the report</NuxtLink>
    </div>
    <QuestionLine :plan="plan" class="asked" />
    <div v-if="!evidence || evidence.grade === 'nothing-yet'" class="empty-note">
      <strong>Nothing to conclude from yet</strong>
      The sentences here grow out of the result, such as “Kitchen roll came highest, and six of seven groups agree”.
      <NuxtLink :to="`/lesson/${lesson.id}/test`">Readings of two conditions</NuxtLink>
      are needed first.
    </div>
    <template v-else>
      <section class="section" aria-labelledby="starters">
        <h3 id="starters">
          Ways to begin
          <span class="soft">that say no more than “{{ GRADE_NAMES[evidence.grade].toLowerCase() }}”</span>
        </h3>
        <ul class="starters">
          <li v-for="starter in starters" :key="starter">
            <button type="button" @click="begin(starter)">{{ starter }}</button>
          </li>
        </ul>
      </section>
      <section class="section" aria-labelledby="conclusion">
        <h3 id="conclusion">Our conclusion</h3>
        <textarea
          ref="box"
          v-model="text"
          class="box"
          rows="4"
          maxlength="4000"
          data-target="conclusion"
          aria-labelledby="conclusion"
          placeholder="We found that …"
        />
        <ul v-if="doubts.length > 0" class="doubts" aria-live="polite">
          <li v-for="doubt in doubts" :key="doubt.code">
            <strong>{{ doubtWordsOfConclusion(doubt, plan).title }}.</strong>
            {{ doubtWordsOfConclusion(doubt, plan).text }}
          </li>
        </ul>
        <p v-else-if="text.trim() !== ''" class="fine">
          <span aria-hidden="true">✓</span>
          It says what the numbers carry, and how sure you are.
        </p>
        <div class="row">
          <NumberField
            optional
            label="Hands up for it"
            :model-value="hands"
            :least="0"
            :most="200"
            whole
            @update:model-value="hands = $event"
          />
          <button
            type="button"
            class="button main"
            :disabled="text.trim() === '' || (asStored && last!.agreed)"
            @click="keep(true)"
          >
            {{ asStored && last!.agreed ? 'Agreed' : 'We agree on this' }}
          </button>
          <button type="button" class="button" :disabled="text.trim() === '' || asStored" @click="keep(false)">
            Keep as a draft
          </button>
        </div>
      </section>
      <div class="two">
        <section class="section" aria-labelledby="foreseen">
          <h3 id="foreseen">What we predicted</h3>
          <p>{{ foresight(plan, evidence, orders) || 'No group predicted beforehand.' }}</p>
        </section>
        <section class="section" aria-labelledby="next">
          <h3 id="next">What we could test next</h3>
          <ul class="next">
            <li v-for="question in nextQuestions(plan)" :key="question">{{ question }}</li>
          </ul>
          <p v-if="nextQuestions(plan).length === 0" class="soft">No cards left over.</p>
        </section>
      </div>
      <details v-if="earlier.length > 0" class="section">
        <summary>Earlier wordings</summary>
        <ul>
          <li v-for="one in earlier" :key="one.id" class="soft">{{ one.text }}</li>
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
  font-size: 21px;
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
.row {
  align-items: flex-end;
  margin-top: 8px;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.next li {
  padding: 2px 0;
}
</style>
