<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { changesMade, readChange, triesOf, wordsThatHelped } from '~~/core/record'
import { gainWords, nameOfCondition, nameOfGroup, tryFigure } from '~~/core/wording'
import TextField from '~/forms/TextField.vue'
import { addressOf } from '~/following/callServer'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'
import { useRecordWriting } from '~/stores/recordWriting'

/** The journal of building: each group’s tries with what was changed, why, and what it gained; and which changes helped across groups. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const writing = useRecordWriting()
const groups = computed(() => plan.value.groups.map(({ id }) => ({ id, tries: triesOf(plan.value, props.record, id) })))
const changes = computed(() => changesMade(plan.value, props.record))
const words = computed(() => wordsThatHelped(changes.value))
const saying = ref<Record<string, string>>({})
const pictureOf = (picture: string) =>
  addressOf('GET /api/lessons/[lesson]/pictures/[picture]', { path: { lesson: lesson.id, picture } })

async function say(group: string, condition: string, text: string): Promise<void> {
  const { what, why } = readChange(text)
  if (what !== '') await writing.add('improvement', { id: newId(), group, condition, what, why })
}
</script>

<template>
  <section aria-label="Try by try">
    <template v-if="changes.length > 0">
      <h3 class="text-lead">Which changes helped</h3>
      <ol class="changes">
        <li v-for="one in changes" :key="`${one.group}${one.condition}`">
          <strong>{{ gainWords(plan, one.gain) }}</strong> {{ one.what }}
          <span class="soft">({{ nameOfGroup(plan, one.group) }})</span>
        </li>
      </ol>
      <p v-if="words.length > 0">
        Said by several groups:
        <span v-for="one in words" :key="one.word" class="mr-near"
          >“{{ one.word }}” helped {{ one.helped }} of {{ one.of }} times</span
        >
      </p>
    </template>
    <table class="ruled mt-near">
      <caption class="sr-only">
        Every try of every group
      </caption>
      <thead>
        <tr>
          <th scope="col">Group</th>
          <th scope="col">Try</th>
          <th scope="col">What was changed, and why</th>
          <th scope="col" class="figure">Came to</th>
          <th scope="col">Gain</th>
          <th scope="col">Picture</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="{ id, tries } in groups" :key="id">
          <tr v-for="(one, place) in tries" :key="one.condition">
            <th v-if="place === 0" scope="rowgroup" :rowspan="tries.length">{{ nameOfGroup(plan, id) }}</th>
            <td>{{ nameOfCondition(plan, one.condition) }}</td>
            <td>
              <template v-if="one.change">{{ one.change.what }}{{ one.change.why ? `, because ${one.change.why}` : '' }}</template>
              <TextField
                v-else-if="place > 0"
                bare
                lazy
                :label="`${nameOfGroup(plan, id)}, ${nameOfCondition(plan, one.condition)}: what was changed`"
                :model-value="saying[`${id}/${one.condition}`] ?? ''"
                placeholder="what … because …"
                @update:model-value="say(id, one.condition, $event)"
              />
            </td>
            <td class="figure">
              <strong v-if="one.best">★ </strong>{{ one.result === undefined ? '–' : tryFigure(plan, one.result) }}
              <span v-if="one.best" class="sr-only">the best so far</span>
            </td>
            <td>{{ gainWords(plan, one.gain) }}</td>
            <td>
              <img
                v-if="one.picture"
                :src="pictureOf(one.picture)"
                class="picture"
                :alt="`${nameOfCondition(plan, one.condition)} of ${nameOfGroup(plan, id)}`"
              />
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.changes {
  padding-left: var(--gap-far);
  list-style: decimal;
}
.picture {
  height: 48px;
  border-radius: var(--corner);
}
</style>
