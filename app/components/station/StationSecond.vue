<script setup lang="ts">
import { useLessonPlan } from '~/composables/lessonPlan'
import { readersAgree } from '~~/core/record'
import { writeReading } from '~~/core/wording'
import { testOf, writesStartAndFinish } from '~~/core/test'
import { useNumberEntry } from '~/composables/numberEntry'

/** A second child reads the same thing without having seen the first number; where they differ, they look once more. */
const plan = useLessonPlan()
const props = defineProps<{
  condition: string
  first: { value: number; entered: string }
  pictureOf: (id: string) => string
}>()
const { read } = useNumberEntry()
const emit = defineEmits<{ agreed: [entry: { value: number; entered: string; reason: string }]; again: []; back: [] }>()
const NumberPad = defineAsyncComponent(() => import('../instruments/NumberPad.vue'))
const method = computed(() => testOf(plan.value).method!)
const text = ref('')
const trouble = ref('')
const second = shallowRef<{ value: number; entered: string }>()

function look(): void {
  // Whoever reads second may write it as the first did.
  const found = read(plan.value, text.value, writesStartAndFinish([props.first]))
  trouble.value = found.trouble
  if (found.value === undefined) return
  if (readersAgree(props.first.value, found.value, method.value)) emit('agreed', { ...props.first, reason: '' })
  else second.value = found
}
function take(taken: { value: number; entered: string }, other: { entered: string }): void {
  emit('agreed', { ...taken, reason: `the other reader saw ${other.entered}` })
}
</script>

<template>
  <form v-if="!second" class="grid gap-near content-start" @submit.prevent="look">
    <h2 class="text-large">Second reader: look yourself. What do you see?</h2>
    <NumberPad v-model="text" :plan="plan" :condition="condition" device="pad" :trouble="trouble" :picture-of="pictureOf" />
    <div class="row">
      <VBtn @click="emit('back')">Back</VBtn>
      <MainBtn type="submit" class="grow">That is what I see</MainBtn>
    </div>
  </form>
  <div v-else class="grid gap-near content-start" role="group" aria-label="Two readers">
    <h2 class="text-large">You saw different numbers. Look once more together.</h2>
    <VBtn @click="take(first, second)"> It is {{ writeReading(plan, first.value, method.unit) }} </VBtn>
    <VBtn @click="take(second, first)"> It is {{ writeReading(plan, second.value, method.unit) }} </VBtn>
    <VBtn @click="emit('again')">Neither: read it again</VBtn>
  </div>
</template>
