<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import type { UnitCode } from '~~/core/quantity'
import type { Doubt } from '~~/core/record'
import { doubtWords, REASONS, writeReading } from '~~/core/wording'
import ReasonPicker from '~/components/station/ReasonPicker.vue'
import { focusHeading } from '~/composables/focusHeading'

/** A number that looks odd: asked, never altered. */
const plan = useLessonPlan()
const props = defineProps<{ value: number; unit: UnitCode; doubt: Doubt }>()
const emit = defineEmits<{ right: []; mend: [value: number]; again: []; aside: [reason: string] }>()
const suggested = computed(() => ('suggested' in props.doubt ? props.doubt.suggested : undefined))
const part = useTemplateRef<HTMLElement>('part')
onMounted(() => focusHeading(part.value))
const sayingWhy = ref(false)
</script>

<template>
  <div
    ref="part"
    class="ask grid gap-near content-start p-wide edge-2-brass-mark rounded bg-brass-light"
    role="group"
    aria-label="A question about this number"
  >
    <p class="text-figure font-bold leading-1.1" data-asks>{{ writeReading(plan, value, unit) }}</p>
    <p>{{ doubtWords(plan, value, unit, doubt) }}</p>
    <template v-if="!sayingWhy">
      <MainBtn v-if="suggested !== undefined" @click="emit('mend', suggested)">
        It is {{ writeReading(plan, suggested, unit) }}
      </MainBtn>
      <VBtn @click="emit('right')"> {{ writeReading(plan, value, unit) }} is right: keep it </VBtn>
      <VBtn @click="emit('again')">Type it again</VBtn>
      <VBtn @click="sayingWhy = true">Something went wrong in this trial</VBtn>
    </template>
    <ReasonPicker v-else :reasons="REASONS" own="Set aside" @why="emit('aside', $event)" />
  </div>
</template>
