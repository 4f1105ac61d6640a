<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { LessonRecord } from '~~/core/lesson'
import { oddResults, withoutOpenRetests, withRetests } from '~~/core/record'
import { counted, explanationWords, ODD_STATE_WORDS, oddWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import EmptyNote from '~/components/pieces/EmptyNote.vue'
import { useOtherEvents } from '~/composables/otherEvents'
import { useLesson } from '~/stores/lesson'

/** Every odd or set-aside result, what may lie behind it, and a re-test of just these. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord }>()
const lesson = useLesson()
const others = useOtherEvents()
const odd = computed(() => oddResults(plan.value, props.record, others.value))
const open = computed(() => odd.value.filter(({ retest }) => !retest))
const FIRST = 4

function retestAll(): void {
  const places = open.value.map(({ reading }) => reading)
  lesson.replace(withRetests(lesson.plan!, places))
}
const dropRetests = () => lesson.replace(withoutOpenRetests(lesson.plan!, props.record.readings))
</script>

<template>
  <section aria-label="Odd results">
    <EmptyNote v-if="odd.length === 0" title="Nothing odd">
      No reading lies far from its fellows, and none was set aside. Where one does, it stands here with what may explain it, such as
      “Was the depth of water kept the same?”
    </EmptyNote>
    <template v-else>
      <div class="row mb-10px">
        <p class="grow">Nobody can say from here what happened. Ask the group, then explain it, keep it, or test it again.</p>
        <MainBtn v-if="open.length > 0" @click="retestAll">
          Test {{ open.length === 1 ? 'it' : `these ${open.length}` }} again
        </MainBtn>
        <VBtn v-if="plan.retests.length > 0" @click="dropRetests">Drop the re-tests</VBtn>
      </div>
      <ul>
        <li v-for="one in odd" :key="one.reading.id" class="sheet mb-near py-near px-wide">
          <div class="row">
            <strong class="grow">{{ oddWords(plan, one) }}</strong>
            <span class="state text-soft">{{ ODD_STATE_WORDS[one.state] }}</span>
          </div>
          <ul class="why">
            <li class="pl-wide edge-left-3-line" v-for="(explanation, place) in one.explanations.slice(0, FIRST)" :key="place">
              {{ explanationWords(plan, explanation, one.reading.group) }}
            </li>
          </ul>
          <AppFold :title="counted(one.explanations.length - FIRST, 'more question')" v-if="one.explanations.length > FIRST">
            <ul class="why">
              <li class="pl-wide edge-left-3-line" v-for="(explanation, place) in one.explanations.slice(FIRST)" :key="place">
                {{ explanationWords(plan, explanation, one.reading.group) }}
              </li>
            </ul>
          </AppFold>
          <p v-if="one.retest" class="text-leaf">
            <span aria-hidden="true">✓</span> A further trial is planned: the station asks for it, and the grid has a place for it.
          </p>
        </li>
      </ul>
    </template>
  </section>
</template>
