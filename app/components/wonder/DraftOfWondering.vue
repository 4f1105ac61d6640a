<script setup lang="ts">
import type { Plan, Remark } from '~~/core/lesson'
import DraftSheet from '~/components/draft/DraftSheet.vue'
import AppDialog from '~/components/pieces/AppDialog.vue'
import { useBeginLesson } from '~/composables/beginLesson'
import { useLesson } from '~/stores/lesson'

/** A wondering as a draft: put into this lesson while it has no cards, else a lesson of its own for the same class. */
const props = defineProps<{ wondering: Remark }>()
const open = defineModel<boolean>({ required: true })
const lesson = useLesson()
const { draftLesson } = useBeginLesson()
const plan = computed(() => lesson.heard!)
const line = ref(props.wondering.text)
const hasCards = computed(() => plan.value.changed !== null || plan.value.measured !== null)
const into = computed(() =>
  hasCards.value ? { className: plan.value.className, children: plan.value.children } : { plan: plan.value },
)

async function take(draft: Plan): Promise<void> {
  const id = hasCards.value ? await draftLesson(draft) : lesson.id
  if (id === undefined) return
  if (!hasCards.value) lesson.replace({ ...draft, asked: { ...draft.asked, chosen: props.wondering.id } })
  open.value = false
  await navigateTo(`/lesson/${id}/plan`)
}
</script>

<template>
  <AppDialog v-model="open" title="From a wondering to a draft" :width="980">
    <DraftSheet
      v-model="line"
      :into="into"
      :take="hasCards ? 'Begin a lesson of its own' : 'Put it into this lesson'"
      @take="take"
    />
  </AppDialog>
</template>
