<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, type LessonRecord, type NewImprovement } from '~~/core/lesson'
import { triesOf } from '~~/core/record'
import { bestSoFarWords, nameOfCondition, tryLine } from '~~/core/wording'
import LongField from '~/forms/LongField.vue'
import { newId } from '~/following/newId'

/** Before the next try: what the group changes, and why it thinks that this helps. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; group: string; condition: string }>()
const emit = defineEmits<{ said: [change: NewImprovement]; picture: [] }>()
const what = ref('')
const why = ref('')
const tries = computed(() => triesOf(plan.value, props.record, props.group))
const done = computed(() => tries.value.filter(({ result }) => result !== undefined))

function say(): void {
  const { group, condition } = props
  if (what.value.trim() !== '') emit('said', { id: newId(), group, condition, what: what.value.trim(), why: why.value.trim() })
}
</script>

<template>
  <form class="station-form" @submit.prevent="say">
    <p class="soft">{{ bestSoFarWords(plan, tries) }}</p>
    <h1>{{ nameOfCondition(plan, condition) }}: what do you change?</h1>
    <ul>
      <li v-for="one in done" :key="one.condition" class="soft">{{ tryLine(plan, one) }}</li>
    </ul>
    <LongField v-model="what" label="We change" :rows="2" :longest="LONGEST.note" placeholder="one thing" />
    <LongField v-model="why" label="We think it helps because" :rows="2" :longest="LONGEST.note" />
    <MainBtn type="submit" :disabled="what.trim() === ''">Now we build it</MainBtn>
    <VBtn @click="emit('picture')">First a picture of the last one</VBtn>
  </form>
</template>
