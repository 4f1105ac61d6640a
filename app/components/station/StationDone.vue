<script setup lang="ts">
import { activeConditions, letterOf, type Plan } from '~~/core/lesson'
import type { Reading } from '~~/core/lesson'
import { cellKey, type Progress } from '~~/core/record'
import { nameOfCondition, writeReading } from '~~/core/wording'

/** All is written down: the group's own numbers, each of which can still be put right. */
defineProps<{ plan: Plan; progress: Progress }>()
defineEmits<{ fix: [reading: Reading]; propose: [] }>()
</script>

<template>
  <div class="done">
    <h1>{{ progress.done < progress.all ? 'All written down for today' : 'All written down' }}</h1>
    <p>Clear away, then look at the board. Tap a number to put it right.</p>
    <button type="button" class="button main large" @click="$emit('propose')">Say what you found out</button>
    <ul>
      <li v-for="condition in activeConditions(plan)" :key="condition.id">
        <ConditionBadge :size="36" :letter="letterOf(plan, condition.id)" :place="plan.conditions.indexOf(condition)" />
        <span class="name">{{ nameOfCondition(plan, condition.id) }}</span>
        <span class="values">
          <template v-for="cell in progress.cells" :key="cellKey(cell)">
            <button
              v-for="reading in cell.condition === condition.id ? cell.kept : []"
              :key="reading.id"
              type="button"
              class="button"
              @click="$emit('fix', reading)"
            >
              {{ writeReading(plan, reading.value, reading.unit) }}
            </button>
          </template>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.done {
  display: grid;
  gap: 12px;
  padding-top: 20px;
}
h1 {
  font-size: 28px;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
  padding: 8px 0;
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
  gap: 8px;
  max-width: 62%;
}
li .button {
  min-height: 56px;
  font-family: var(--heading);
  font-size: 18px;
}
</style>
