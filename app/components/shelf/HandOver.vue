<script setup lang="ts">
import { lessonName } from '~~/core/wording'
import type { DeskName, ShelfEntry } from '~~/schemas/contract'
import AppDialog from '~/components/pieces/AppDialog.vue'
import { callServer, messageOf } from '~/following/callServer'
import { useNotices } from '~/stores/notices'

/** Hands a lesson to a colleague's desk. */
const props = defineProps<{ lesson: ShelfEntry; desks: DeskName[] }>()
const emit = defineEmits<{ done: [to: string] }>()
const open = defineModel<boolean>({ required: true })
const notices = useNotices()

async function handTo(desk: DeskName | null): Promise<void> {
  try {
    await callServer('PUT /api/lessons/[lesson]/desk', { path: { lesson: props.lesson.id }, body: { desk: desk?.id ?? null } })
    open.value = false
    emit('done', desk?.name ?? 'the head desk')
  } catch (error) {
    notices.trouble(messageOf(error))
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="`Hand over “${lessonName(lesson.title)}”`" :width="460">
    <p>Its plan, its readings and its pictures go with it. It then stands on that desk’s shelf.</p>
    <ul class="desks flex flex-wrap gap-near mt-wide p-0 list-none">
      <li v-for="desk in desks" :key="desk.id">
        <VBtn @click="handTo(desk)">{{ desk.name }}</VBtn>
      </li>
      <li><QuietBtn @click="handTo(null)">The head desk</QuietBtn></li>
    </ul>
  </AppDialog>
</template>
