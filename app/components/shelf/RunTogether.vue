<script setup lang="ts">
import { lessonName } from '~~/core/wording'
import { MOST_TOGETHER } from '~~/core/together'
import type { ShelfEntry } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import TickField from '~/forms/TickField.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** Which lessons run in one time with this one. Each stays a lesson of its own. */
const props = defineProps<{ lesson: ShelfEntry; lessons: ShelfEntry[] }>()
const open = defineModel<boolean>({ required: true })
const notices = useNotices()
const others = computed(() => props.lessons.filter(({ id, archived }) => id !== props.lesson.id && !archived))
const chosen = ref<string[]>([])
const turn = (id: string) =>
  (chosen.value = chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id])

async function begin(): Promise<void> {
  try {
    const { id } = await callServer('POST /api/together', { body: { lessons: [props.lesson.id, ...chosen.value] } })
    open.value = false
    await navigateTo(`/together/${id}`)
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="`Run “${lessonName(lesson.title)}” together with`" :width="560">
    <p>One code, one board and one clock for all of them. Each stays a lesson of its own, and can stand alone again at any time.</p>
    <ul class="others mt-near">
      <li v-for="one in others" :key="one.id">
        <TickField
          :label="`${lessonName(one.title)}, class ${one.className}`"
          :model-value="chosen.includes(one.id)"
          :disabled="!chosen.includes(one.id) && chosen.length >= MOST_TOGETHER - 1"
          @update:model-value="turn(one.id)"
        />
      </li>
    </ul>
    <p v-if="others.length === 0" class="hint">There is no other lesson on the shelf yet.</p>
    <template #actions>
      <MainBtn :disabled="chosen.length === 0" @click="begin">Run together</MainBtn>
      <QuietBtn @click="open = false">Not now</QuietBtn>
    </template>
  </AppDialog>
</template>

<style scoped>
/* However many lessons stand on the shelf, the buttons stay in sight. */
.others {
  max-height: 45vh;
  overflow-y: auto;
}
</style>
