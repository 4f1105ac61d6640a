<script setup lang="ts">
import { AGES, keptFactors } from '~~/core/lesson'
import {
  AGE_WORDS,
  agesWords,
  careLines,
  conditionsWords,
  KIND_WORDS,
  nameOfCondition,
  sentenceCase,
  stockWords,
  temptingWords,
} from '~~/core/wording'
import type { InvestigationInside } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import SetUpDrawing from '~/components/pieces/SetUpDrawing.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** Everything that the library knows of one lesson: what it does, what is behind it, what children think, what goes wrong. */
const props = defineProps<{ investigation: string; mayTake?: boolean }>()
const emit = defineEmits<{ take: [] }>()
const open = defineModel<boolean>({ required: true })
const notices = useNotices()
const inside = shallowRef<InvestigationInside>()
const plan = computed(() => inside.value!.plan)
const teaching = computed(() => inside.value!.teaching)
const conditions = computed(() => plan.value.conditions.map(({ id }) => nameOfCondition(plan.value, id)).join(' · '))
const lists = computed(() =>
  [
    { title: 'What is going on', lines: teaching.value.goingOn },
    { title: 'What children often think', lines: teaching.value.thinking },
    { title: 'What usually goes wrong', lines: teaching.value.goesWrong },
    { title: 'Questions to ask', lines: teaching.value.questions },
  ].filter(({ lines }) => lines.length > 0),
)
const versions = computed(() =>
  AGES.flatMap((age) => teaching.value.versions.filter((one) => one.age === age)).map(({ age, text }) => ({
    age: AGE_WORDS[age],
    text,
  })),
)
const care = computed(() => careLines(plan.value))

onMounted(async () => {
  try {
    const path = { investigation: props.investigation }
    inside.value = await callServer('GET /api/investigations/[investigation]', { path })
  } catch (error) {
    open.value = false
    notices.trouble(messageOf(error))
  }
})
</script>

<template>
  <AppDialog v-model="open" :title="inside?.card.title ?? 'Opening …'" :width="940">
    <div v-if="inside" class="inside" tabindex="0" role="region" aria-label="What is in it">
      <div class="top">
        <SetUpDrawing :investigation="inside.card.drawing" />
        <div>
          <p class="text-title font-heading">{{ inside.card.question }}</p>
          <p class="soft">
            {{ KIND_WORDS[inside.card.kind].name }} · {{ inside.card.minutes }} min · {{ agesWords(inside.card.ages) }}
          </p>
          <p v-if="plan.wonder.hook"><strong>To begin with:</strong> {{ plan.wonder.hook }}</p>
        </div>
      </div>
      <div class="parts">
        <section>
          <h3>The fair set-up</h3>
          <p>
            <strong>{{ conditionsWords(plan.kind).name }}:</strong> {{ conditions }}
          </p>
          <p v-for="factor in keptFactors(plan)" :key="factor.id">
            <strong>{{ sentenceCase(factor.name) }}:</strong> {{ factor.how || 'the same' }}
          </p>
        </section>
        <section v-if="inside.expected">
          <h3>{{ inside.expected.title }}</h3>
          <p v-for="line in inside.expected.lines" :key="line">{{ line }}</p>
          <p class="soft">{{ inside.expected.note }}</p>
        </section>
        <section v-if="teaching.tempting">
          <h3>Tempting, and not fair</h3>
          <p>{{ temptingWords(plan, teaching.tempting) }}</p>
          <p>{{ teaching.tempting.why }}</p>
        </section>
        <section v-for="{ title, lines } in lists" :key="title">
          <h3>{{ title }}</h3>
          <ul>
            <li v-for="line in lines" :key="line">{{ line }}</li>
          </ul>
        </section>
        <section v-if="versions.length > 0">
          <h3>Easier and harder</h3>
          <p v-for="{ age, text } in versions" :key="age">
            <strong>{{ age }}:</strong> {{ text }}
          </p>
        </section>
        <section v-if="teaching.words.length > 0">
          <h3>Words</h3>
          <p v-for="{ word, meaning } in teaching.words" :key="word">
            <strong>{{ word }}:</strong> {{ meaning }}
          </p>
        </section>
        <section>
          <h3>What it needs</h3>
          <ul>
            <li v-for="line in inside.needed" :key="line">{{ line }}</li>
          </ul>
          <p><strong>Getting ready:</strong> {{ inside.ready }}</p>
          <p v-if="stockWords(inside.card.needs).lacks" class="soft">{{ stockWords(inside.card.needs).lacks }}</p>
        </section>
        <section v-if="care.length > 0">
          <h3>Take care</h3>
          <p v-for="{ doer, who, what } in care" :key="doer">
            <strong>{{ who }}:</strong> {{ what }}
          </p>
          <p class="soft">Your school’s own rules and your local regulations come first.</p>
        </section>
      </div>
    </div>
    <template #actions>
      <MainBtn v-if="mayTake" :disabled="!inside" @click="emit('take')">Take this one</MainBtn>
      <QuietBtn @click="open = false">{{ mayTake ? 'Back to the others' : 'Close' }}</QuietBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
.inside {
  display: grid;
  gap: var(--gap-block);
  max-height: 66vh;
  overflow-y: auto;
}
.top {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-block);
}
.top > div {
  display: grid;
  flex: 1 1 320px;
  gap: var(--gap-near);
}
.parts {
  columns: 2;
  column-gap: var(--gap-block);
}
section {
  display: grid;
  gap: var(--gap-close);
  margin-bottom: var(--gap-wide);
  break-inside: avoid;
}
h3 {
  font-size: var(--type-lead);
}
ul {
  padding-left: 1.2em;
  list-style: disc;
}
@media (width < 800px) {
  .parts {
    columns: 1;
  }
}
</style>
