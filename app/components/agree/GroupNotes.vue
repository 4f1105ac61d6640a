<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { LONGEST, groupOf, type LessonRecord } from '~~/core/lesson'
import { groupSigns } from '~~/core/reports'
import { list, wordMat } from '~~/core/wording'
import { signWords } from '~~/core/wording/reports'
import AppFold from '~/components/pieces/AppFold.vue'
import GroupName from '~/components/pieces/GroupName.vue'
import { useCustoms } from '~/composables/customs'
import { useLesson } from '~/stores/lesson'

/** For the teacher alone: one thing done well and one to work on for each group, begun from what the record shows. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const { say } = useCustoms()
const signs = computed(() =>
  groupSigns(
    plan.value,
    props.record,
    wordMat(plan.value).map(({ word }) => word.toLowerCase()),
  ),
)
const said = (group: string) => plan.value.groupNotes[group] ?? { well: '', next: '' }

function write(group: string, key: 'well' | 'next', text: string): void {
  lesson.edit(
    (draft) => (draft.groupNotes[group] = { ...(draft.groupNotes[group] ?? { well: '', next: '' }), [key]: text }),
    `note-${group}-${key}`,
  )
}
</script>

<template>
  <AppFold title="My notes on the groups" hint="never on board, station or report">
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col">Done well</th>
          <th scope="col">To work on next</th>
          <th scope="col">Our words used</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in signs" :key="one.group">
          <th scope="row"><GroupName :group="groupOf(plan, one.group)!" /></th>
          <td v-for="key in ['well', 'next'] as const" :key="key">
            <textarea
              v-grow
              class="entry-cell"
              rows="2"
              :maxlength="LONGEST.note"
              :aria-label="`${groupOf(plan, one.group)!.name}: ${key === 'well' ? 'done well' : 'to work on next'}`"
              :value="said(one.group)[key]"
              :placeholder="one[key][0] ? signWords(one[key][0]) : '…'"
              @input="write(one.group, key, ($event.target as HTMLTextAreaElement).value)"
            />
          </td>
          <td class="soft">{{ list(one.words) || 'none yet' }}</td>
        </tr>
      </tbody>
    </table>
    <p class="hint">What the record shows stands in {{ say('grey') }}; what you write takes its place in the teacher’s notes.</p>
  </AppFold>
</template>
