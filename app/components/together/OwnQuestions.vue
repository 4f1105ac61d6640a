<script setup lang="ts">
import type { Stop } from '~~/core/lesson'
import { cardsOfWondering, cardsTogether, ownRows, type OwnQuestion as OwnQuestionAsked } from '~~/core/together'
import AppDialog from '~/components/pieces/AppDialog.vue'
import OwnQuestion from '~/components/station/OwnQuestion.vue'
import OwnRows from '~/components/together/OwnRows.vue'
import OwnRunning from '~/components/together/OwnRunning.vue'
import { callServer } from '~/following/callServer'
import { useLesson } from '~/stores/lesson'

/** Each group its own question inside this lesson: a row a group, and the form in which the teacher writes one for it. */
defineProps<{ stop: Stop }>()
const lesson = useLesson()
const plan = computed(() => lesson.heard!)
const running = useTemplateRef('running')
const members = computed(() => {
  const all = running.value?.members ?? []
  return all.length > 0 ? all : [{ lesson: lesson.id, plan: plan.value }]
})
const asking = ref<string>()
const heap = computed(() => cardsTogether(members.value))
const begun = computed(() => cardsOfWondering(plan.value, asking.value ?? '', heap.value))

async function send(asked: OwnQuestionAsked): Promise<void> {
  await lesson.flush()
  const body = { name: asking.value!, ...asked }
  await callServer('POST /api/lessons/[lesson]/own-question', { path: { lesson: lesson.id }, body })
  asking.value = undefined
}
</script>

<template>
  <section class="mb-part" aria-labelledby="own-questions">
    <component :is="stop === 'wonder' ? 'h3' : 'h2'" id="own-questions" class="text-lead">Each group its own question</component>
    <p class="hint">
      With the code {{ lesson.code }} a group taps one card to change and one to measure, out of the cards on Plan. Its numbers, its
      kit and its result stay in this lesson.
    </p>
    <OwnRunning
      v-if="lesson.together"
      :id="lesson.together"
      ref="running"
      :key="lesson.together"
      :stop="stop"
      @ask="asking = $event"
    />
    <OwnRows v-else :rows="ownRows(members)" :found="[]" @ask="asking = $event" />
    <p v-if="lesson.together" class="row mt-near">
      <VBtn size="small" :href="`/together/${lesson.together}/print`" target="_blank">Print who does what and the kits</VBtn>
    </p>
    <AppDialog
      v-if="asking !== undefined"
      :model-value="true"
      :title="`The question of ${asking}`"
      :width="620"
      @update:model-value="asking = undefined"
    >
      <OwnQuestion :heap="heap" :send="send" :begun="begun" title="This is its question" @back="asking = undefined" />
    </AppDialog>
  </section>
</template>
