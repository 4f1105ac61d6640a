<script setup lang="ts">
import { KINDS } from '~~/core/lesson'
import { withKind } from '~~/core/test'
import { KIND_WORDS } from '~~/core/wording'
import { useLesson } from '~/stores/lesson'

/** Which kind of test it is: that decides what the plan asks and what the later stops show. */
const lesson = useLesson()
const plan = computed(() => lesson.plan!)
const open = ref(false)
</script>

<template>
  <VMenu v-model="open" location="bottom end">
    <template #activator="{ props: activator }">
      <VBtn
        size="small"
        class="kind flex-none mt-tight"
        v-bind="activator"
        :aria-label="`Kind of test: ${KIND_WORDS[plan.kind].name}`"
      >
        {{ KIND_WORDS[plan.kind].name }}
        <span aria-hidden="true">▾</span>
      </VBtn>
    </template>
    <VList role="menu" class="w-460px" aria-label="Kinds of test">
      <VListItem
        role="menuitemradio"
        v-for="kind in KINDS"
        :key="kind"
        :active="plan.kind === kind"
        :aria-checked="plan.kind === kind"
        :title="KIND_WORDS[kind].name"
        :subtitle="KIND_WORDS[kind].what"
        @click="lesson.replace(withKind(plan, kind))"
      >
        <em class="soft">{{ KIND_WORDS[kind].example }}</em>
      </VListItem>
    </VList>
  </VMenu>
</template>
