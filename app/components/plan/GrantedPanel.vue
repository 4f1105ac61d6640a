<script setup lang="ts">
import { grantedFix, grantedOf, type Granted } from '~~/core/granted'
import { counted, fixWords, grantedPlace, grantedWords } from '~~/core/wording'
import AppFold from '~/components/pieces/AppFold.vue'
import { useLesson } from '~/stores/lesson'
import { useSecondLook } from '~/stores/secondLook'

/** What nobody said outright and would turn a verdict round, each with its change. */
const lesson = useLesson()
const look = useSecondLook()
const plan = computed(() => lesson.plan!)
const granted = computed(() =>
  grantedOf(plan.value).map((one) => ({
    one,
    words: grantedWords(plan.value, one),
    fix: grantedFix(one, lesson.record.readings.length > 0),
  })),
)
const change = (one: Granted) => look.apply({ code: 'go', stop: 'plan', target: { place: grantedPlace(one) } })
</script>

<template>
  <AppFold title="Taken for granted" :hint="counted(granted.length, 'thing')">
    <ul class="granted">
      <li v-for="{ one, words, fix } in granted" :key="words" class="row">
        <span class="flex-1 min-w-0">{{ words }}</span>
        <VBtn v-if="fix" size="small" @click="look.apply(fix)">{{ fixWords(fix, plan) }}</VBtn>
        <QuietBtn size="small" :aria-label="`Change: ${words}`" @click="change(one)">Change</QuietBtn>
      </li>
    </ul>
  </AppFold>
</template>

<style scoped>
.granted {
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
