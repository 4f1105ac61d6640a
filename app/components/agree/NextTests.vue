<script setup lang="ts">
import { nextTests, type NextTest } from '~~/core/agree'
import { nextQuestion } from '~~/core/wording'
import { useLesson } from '~/stores/lesson'
import { useBeginLesson } from '~/composables/beginLesson'

/** What could be tested next; one click begins the plan. */
const lesson = useLesson()
const beginning = useBeginLesson()
const tests = computed(() => (lesson.heard ? nextTests(lesson.heard) : []))
const busy = ref(false)

async function begin(next: NextTest): Promise<void> {
  busy.value = true
  const id = await beginning.nextLesson(next)
  busy.value = false
  if (id) await navigateTo(`/lesson/${id}/plan`)
}
</script>

<template>
  <section class="section" aria-labelledby="next">
    <h3 class="mb-close text-lead" id="next">What we could test next</h3>
    <ul>
      <li v-for="one in tests" :key="one.id">
        <span class="grow">{{ nextQuestion(one) }}</span>
        <VBtn size="small" :disabled="busy" @click="begin(one)">Plan it</VBtn>
      </li>
    </ul>
    <p v-if="tests.length === 0" class="soft">No cards are left over. Wonderings kept for later stand here, too.</p>
  </section>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  gap: var(--gap-near);
  padding: var(--gap-tight) 0;
}
</style>
