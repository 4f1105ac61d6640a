<script setup lang="ts">
import { activeConditions, letterOf, type Plan } from '~~/core/lesson'
import type { Reading } from '~~/core/lesson'
import { cellKey, type Progress } from '~~/core/record'
import { nameOfCondition, readingWords } from '~~/core/wording'

/** All is written down: the group's own numbers, each of which can still be put right. */
defineProps<{ plan: Plan; progress: Progress }>()
defineEmits<{ fix: [reading: Reading]; propose: [] }>()
</script>

<template>
  <div class="done grid gap-wide pt-block">
    <h1 class="text-huge">{{ progress.done < progress.all ? 'All written down for today' : 'All written down' }}</h1>
    <p>Clear away, then look at the board. Tap a number to put it right.</p>
    <MainBtn @click="$emit('propose')">Say what you found out</MainBtn>
    <ul>
      <li v-for="condition in activeConditions(plan)" :key="condition.id">
        <ConditionBadge :size="36" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
        <span class="name">{{ nameOfCondition(plan, condition.id) }}</span>
        <span class="values">
          <template v-for="cell in progress.cells" :key="cellKey(cell)">
            <VBtn
              v-for="reading in cell.condition === condition.id ? cell.kept : []"
              :key="reading.id"
              @click="$emit('fix', reading)"
            >
              {{ readingWords(plan, reading) }}
            </VBtn>
          </template>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--gap-near) var(--gap-near);
  padding: var(--gap-near) 0;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1 1 90px;
  overflow-wrap: anywhere;
}
.values {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: var(--gap-near);
  max-width: 62%;
}
</style>
