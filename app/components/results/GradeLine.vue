<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { judgedBefore, twinsToAdd, type Evidence, type Grade } from '~~/core/evidence'
import type { LessonRecord } from '~~/core/lesson'
import { fixWords, GRADE_NAMES, gradeName, judgedAnewSentence, sureSentences } from '~~/core/wording'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** The grade on its scale, and what it means here in one sentence. "The same" is an answer like the others. */
const plan = useLessonPlan()
const props = defineProps<{ record: LessonRecord; evidence: Evidence }>()
const lesson = useLesson()
const look = useSecondLook()
const sentences = computed(() => sureSentences(plan.value, props.evidence))
const anew = computed(() => judgedAnewSentence(judgedBefore(plan.value, props.record)))
const unfinished = computed(() => props.evidence.limits.includes('unfinished'))
const twins = computed(() => twinsToAdd(props.evidence.notFair))
const SCALE: Grade[] = ['clear', 'leaning', 'cannot-tell', 'same']
const SHORT: Partial<Record<Grade, string>> = { same: 'The same' }
</script>

<template>
  <section class="line" :class="{ plain: !SCALE.includes(evidence.grade) }" aria-label="How sure we can be">
    <ol v-if="SCALE.includes(evidence.grade)" class="scale">
      <li
        v-for="grade in SCALE"
        :key="grade"
        :class="{ here: grade === evidence.grade }"
        :aria-current="grade === evidence.grade || undefined"
      >
        {{ SHORT[grade] ?? GRADE_NAMES[grade] }}
      </li>
    </ol>
    <div>
      <h3 class="text-green text-large" :class="evidence.grade">{{ gradeName(evidence) }}</h3>
      <p class="font-heading text-lead">{{ sentences[0] }}</p>
      <p class="soft">
        {{ sentences.slice(1).join(' ') }}{{ ' ' }}
        <NuxtLink :to="{ query: { part: 'sure' } }" data-target="surer" replace>why, and what would make it surer</NuxtLink>
      </p>
      <p v-if="anew" class="soft">{{ anew }}</p>
      <p v-if="twins.length > 0" class="open flex flex-wrap gap-near mt-close">
        <VBtn v-for="fix in twins" :key="fix.condition" size="small" @click="look.apply(fix)">{{ fixWords(fix, plan) }}</VBtn>
      </p>
      <p v-if="unfinished" class="open flex flex-wrap gap-near mt-close">
        <VBtn size="small" :to="`/lesson/${lesson.id}/test`">Fill the empty places</VBtn>
        <VBtn size="small" @click="look.apply({ code: 'leave-gaps' })"> Testing is over: they stay empty </VBtn>
      </p>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: var(--gap-block);
  padding: var(--gap-near) var(--gap-wide);
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  background: var(--card);
}
.line.plain {
  grid-template-columns: minmax(0, 1fr);
}
.scale {
  display: grid;
  gap: var(--gap-hair);
  align-content: center;
}
.scale li {
  padding: 1px var(--gap-near);
  border-left: 4px solid var(--line);
  color: var(--soft);
  font-size: var(--type-small);
}
.scale .here {
  border-color: var(--green);
  background: var(--green-light);
  color: var(--ink);
  font-weight: 700;
}
.leaning,
.cannot-tell {
  color: var(--brass);
}
.same {
  color: var(--slate);
}
@media (width < 700px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
