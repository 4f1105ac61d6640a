<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import type { UnitCode } from '~~/core/quantity'
import type { Doubt } from '~~/core/record'
import { doubtWords, writeReading } from '~~/core/wording'

/** A number that looks odd: asked, never altered. */
const props = defineProps<{ plan: Plan; value: number; unit: UnitCode; doubt: Doubt }>()
const emit = defineEmits<{ right: []; mend: [value: number]; again: []; aside: [reason: string] }>()
const suggested = computed(() => ('suggested' in props.doubt ? props.doubt.suggested : undefined))
const sayingWhy = ref(false)
</script>

<template>
  <div class="ask" role="group" aria-label="A question about this number">
    <p class="number">{{ writeReading(plan, value, unit) }}</p>
    <p>{{ doubtWords(plan, value, unit, doubt) }}</p>
    <template v-if="!sayingWhy">
      <button v-if="suggested !== undefined" type="button" class="button main large" @click="emit('mend', suggested)">
        It is {{ writeReading(plan, suggested, unit) }}
      </button>
      <button type="button" class="button large" @click="emit('right')">
        {{ writeReading(plan, value, unit) }} is right: keep it
      </button>
      <button type="button" class="button large" @click="emit('again')">Type it again</button>
      <button type="button" class="button large" @click="sayingWhy = true">Something went wrong in this trial</button>
    </template>
    <ReasonPicker v-else @why="emit('aside', $event)" />
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
  align-content: start;
  padding: 14px;
  border: 2px solid var(--brass-mark);
  border-radius: var(--corner);
  background: var(--brass-light);
}
.number {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.1;
}
</style>
