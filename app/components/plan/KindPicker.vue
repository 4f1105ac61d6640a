<script setup lang="ts">
import { KINDS, withKind } from '~~/core/lesson'
import { KIND_WORDS } from '~~/core/wording'

/** Which kind of test it is: that decides what the plan asks and what the later stops show. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const open = ref(false)
</script>

<template>
  <VMenu v-model="open" location="bottom end">
    <template #activator="{ props: activator }">
      <button
        type="button"
        class="button small kind"
        v-bind="activator"
        :aria-label="`Kind of test: ${KIND_WORDS[plan.kind].name}`"
      >
        {{ KIND_WORDS[plan.kind].name }}
        <span aria-hidden="true">▾</span>
      </button>
    </template>
    <div role="dialog" aria-label="Kinds of test">
      <ul class="sheet kinds">
        <li v-for="kind in KINDS" :key="kind">
          <button type="button" class="choice" :aria-pressed="plan.kind === kind" @click="lesson.replace(withKind(plan, kind))">
            <strong>
              <span v-if="plan.kind === kind" aria-hidden="true">✓</span>
              {{ KIND_WORDS[kind].name }}
            </strong>
            <span>{{ KIND_WORDS[kind].what }}</span>
            <em>{{ KIND_WORDS[kind].example }}</em>
          </button>
        </li>
      </ul>
    </div>
  </VMenu>
</template>

<style scoped>
.kind {
  flex: none;
  margin-top: 4px;
}
.kinds {
  width: 460px;
  padding: 6px;
  list-style: none;
}
.choice {
  display: grid;
  width: 100%;
  padding: 7px 12px;
  border: 0;
  border-radius: var(--corner);
  background: none;
  text-align: left;
  cursor: pointer;
}
.choice:hover,
.choice[aria-pressed='true'] {
  background: var(--green-light);
}
.choice strong {
  font-family: var(--heading);
}
.choice em {
  color: var(--soft);
}
</style>
