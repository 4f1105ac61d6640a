<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import type { UnitCode } from '~~/core/quantity'
import type { Doubt } from '~~/core/record'
import { doubtWords, REASONS, writeReading } from '~~/core/wording'

/** A number that looks odd: asked, never altered. */
const props = defineProps<{ plan: Plan; value: number; unit: UnitCode; doubt: Doubt }>()
const emit = defineEmits<{ right: []; mend: [value: number]; again: []; aside: [reason: string] }>()
const suggested = computed(() => ('suggested' in props.doubt ? props.doubt.suggested : undefined))
const sayingWhy = ref(false)
const own = ref('')
</script>

<template>
  <div class="ask" role="group" aria-label="A question about this number">
    <p class="number">{{ writeReading(plan, value, unit) }}</p>
    <p>{{ doubtWords(plan, value, unit, doubt) }}</p>
    <template v-if="!sayingWhy">
      <button v-if="suggested !== undefined" type="button" class="button main big" @click="emit('mend', suggested)">
        It is {{ writeReading(plan, suggested, unit) }}
      </button>
      <button type="button" class="button big" @click="emit('right')">
        {{ writeReading(plan, value, unit) }} is right: keep it
      </button>
      <button type="button" class="button big" @click="emit('again')">Type it again</button>
      <button type="button" class="button big" @click="sayingWhy = true">Something went wrong in this trial</button>
    </template>
    <template v-else>
      <button v-for="reason in REASONS" :key="reason" type="button" class="button big" @click="emit('aside', reason)">
        {{ reason }}
      </button>
      <form class="own" @submit.prevent="own.trim() && emit('aside', own.trim())">
        <input v-model="own" class="box" maxlength="300" aria-label="Something else" placeholder="something else" />
        <button type="submit" class="button big" :disabled="own.trim() === ''">Set aside</button>
      </form>
    </template>
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
.big {
  min-height: 56px;
  font-family: var(--heading);
  font-size: 18px;
}
.own {
  display: flex;
  gap: 8px;
}
</style>
