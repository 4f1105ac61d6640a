<script setup lang="ts">
import { LONGEST } from '~~/core/lesson'
import { checkOwnQuestion, MOST_OWN, type HeapOfCards, type OwnQuestion as OwnQuestionAsked } from '~~/core/together'
import { ownCheckLines, ownProblemWords, ownUnsaidLine } from '~~/core/wording'
import PickOne from '~/forms/PickOne.vue'
import TextField from '~/forms/TextField.vue'
import { messageOf } from '~/following/callServer'

/** A group's own question: one card of what could be changed, one of what could be measured, what it tries, and a look at whether that is fair. */
const props = defineProps<{
  heap: HeapOfCards
  /** Sends it; its trouble is shown here. */
  send: (asked: OwnQuestionAsked) => Promise<void>
  title?: string
  /** Cards that are tapped already. */
  begun?: { change: string; measure: string }
}>()
defineEmits<{ back: [] }>()
const change = ref(props.begun?.change ?? '')
const measure = ref(props.begun?.measure ?? '')
const tries = ref(['', '', ''])
const cards = (all: { name: string }[]) => all.map(({ name }) => ({ value: name, title: name }))
const trouble = ref('')
const asked = computed(() => ({ change: change.value, measure: measure.value, conditions: tries.value }))
const check = computed(() => checkOwnQuestion(props.heap, asked.value))

async function ask(): Promise<void> {
  trouble.value = ''
  try {
    await props.send(asked.value)
  } catch (error) {
    trouble.value = messageOf(error)
  }
}
</script>

<template>
  <form class="own" @submit.prevent="ask">
    <h1 v-if="!title" class="text-large text-center">Our own question</h1>
    <p class="text-title font-heading" role="status">
      How does <strong>{{ change || '…' }}</strong> change <strong>{{ measure || '…' }}</strong>?
    </p>
    <h2 class="text-lead">Tap what you change: one card</h2>
    <PickOne v-model="change" tiles label="What we change" :options="cards(heap.changes)" />
    <h2 class="text-lead">Tap what you measure: one card</h2>
    <PickOne v-model="measure" tiles label="What we measure" :options="cards(heap.measures)" />
    <fieldset v-if="change">
      <legend>What do you try? At least two</legend>
      <TextField
        v-for="(_, place) in tries"
        :key="place"
        bare
        :label="`Try ${place + 1}`"
        v-model="tries[place]!"
        :longest="LONGEST.name"
        :placeholder="place === 0 ? 'for example 2 cm' : ''"
      />
      <LinkBtn v-if="tries.length < MOST_OWN" @click="tries.push('')">One more</LinkBtn>
    </fieldset>
    <section v-if="change && measure" aria-label="Is it fair?" class="sheet">
      <h2 class="text-lead">Is it fair?</h2>
      <p v-for="problem in check.problems" :key="problem"><span aria-hidden="true">○</span> {{ ownProblemWords(problem) }}</p>
      <template v-if="check.problems.length === 0">
        <p v-for="line in ownCheckLines(check)" :key="line"><span aria-hidden="true">✓</span> {{ line }}</p>
        <p v-if="ownUnsaidLine(check)"><span aria-hidden="true">○</span> {{ ownUnsaidLine(check) }}</p>
      </template>
    </section>
    <p v-if="trouble" class="trouble text-lead" role="alert">{{ trouble }}</p>
    <div class="flex flex-wrap gap-near">
      <VBtn @click="$emit('back')">Back</VBtn>
      <MainBtn type="submit" :disabled="check.problems.length > 0">{{ title ?? 'This is our question' }}</MainBtn>
    </div>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  gap: var(--gap-part);
  width: 100%;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap-near);
  border: 0;
}
legend {
  width: 100%;
  margin-bottom: var(--gap-close);
  font-weight: 700;
}
</style>
