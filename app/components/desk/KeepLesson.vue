<script setup lang="ts">
import { AGES, LONGEST, TOPICS, type Age, type Topic } from '~~/core/lesson'
import { AGE_WORDS, TOPIC_WORDS } from '~~/core/wording'
import AppDialog from '~/components/pieces/AppDialog.vue'
import ChoiceField from '~/forms/ChoiceField.vue'
import LongField from '~/forms/LongField.vue'
import TickField from '~/forms/TickField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** Keeps the plan of this lesson in the library for others to begin from; class, day, notes and record stay here. */
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const notices = useNotices()
const summary = ref('')
const topic = ref<Topic>('materials')
const ages = ref<Age[]>([lesson.plan!.age])
const topics = TOPICS.map((value) => ({ value, title: TOPIC_WORDS[value] }))
const turn = (age: Age) => (ages.value = AGES.filter((one) => ages.value.includes(one) !== (one === age)))

async function keep(): Promise<void> {
  try {
    const body = { summary: summary.value.trim(), topic: topic.value, ages: ages.value }
    await callServer('POST /api/lessons/[lesson]/keep', { path: { lesson: lesson.id }, body })
    open.value = false
    notices.done('Kept. It stands in the library under “New lesson”.', { label: 'Look', run: () => void navigateTo('/new') })
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Keep for others to begin from">
    <p>
      The plan goes into the library: cards, kit, clock. Your class, its day, your notes and everything that was measured stay here.
    </p>
    <LongField v-model="summary" label="What happens in it, in a sentence or two" :longest="LONGEST.said" />
    <ChoiceField v-model="topic" label="Topic" :options="topics" />
    <fieldset class="row">
      <legend>For children of</legend>
      <TickField
        v-for="age in AGES"
        :key="age"
        :label="AGE_WORDS[age]"
        :model-value="ages.includes(age)"
        @update:model-value="turn(age)"
      />
    </fieldset>
    <template #actions>
      <MainBtn :disabled="ages.length === 0" @click="keep">Keep it</MainBtn>
      <QuietBtn @click="open = false">Not now</QuietBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
fieldset {
  border: 0;
}
legend {
  font-weight: 700;
}
</style>
