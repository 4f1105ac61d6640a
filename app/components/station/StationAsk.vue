<script setup lang="ts">
import type { Plan } from '~~/core/lesson'
import type { UnitCode } from '~~/core/quantity'
import type { Doubt } from '~~/core/record'
import { doubtWords, writeReading } from '~~/core/wording'

/** A number that looks odd: asked, never altered. */
const props = defineProps<{ plan: Plan; value: number; unit: UnitCode; doubt: Doubt }>()
const emit = defineEmits<{ right: []; mend: [value: number]; again: []; aside: [reason: string] }>()
const suggested = computed(() => ('suggested' in props.doubt ? props.doubt.suggested : undefined))
const part = useTemplateRef<HTMLElement>('part')
onMounted(() => focusHeading(part.value))
const sayingWhy = ref(false)
</script>

<template>
  <div ref="part" class="ask" role="group" aria-label="A question about this number">
    <p class="number" data-asks>{{ writeReading(plan, value, unit) }}</p>
    <p>{{ doubtWords(plan, value, unit, doubt) }}</p>
    <template v-if="!sayingWhy">
      <MainBtn v-if="suggested !== undefined" @click="emit('mend', suggested)">
        It is {{ writeReading(plan, suggested, unit) }}
      </MainBtn>
      <VBtn @click="emit('right')"> {{ writeReading(plan, value, unit) }} is right: keep it </VBtn>
      <VBtn @click="emit('again')">Type it again</VBtn>
      <VBtn @click="sayingWhy = true">Something went wrong in this trial</VBtn>
    </template>
    <ReasonPicker v-else @why="emit('aside', $event)" />
  </div>
</template>

<style scoped>
.ask {
  display: grid;
  gap: var(--gap-near);
  align-content: start;
  padding: var(--gap-wide);
  border: 2px solid var(--brass-mark);
  border-radius: var(--corner);
  background: var(--brass-light);
}
.number {
  font-size: var(--type-figure);
  font-weight: 700;
  line-height: 1.1;
}
</style>
