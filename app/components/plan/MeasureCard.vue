<script setup lang="ts">
import { countedFor, type Measure } from '~~/core/lesson'
import { countsLine, methodWords } from '~~/core/wording'

/** A thing we could measure, and with what. */
const props = defineProps<{ measure: Measure; chosen: boolean }>()
const lesson = useLesson()

function write(name: string): void {
  lesson.edit((draft) => {
    draft.measures.find((one) => one.id === props.measure.id)!.name = name
  }, `measure-${props.measure.id}`)
}

const countsSaid = computed(() => countsLine(lesson.plan!, { example: true }))

const items = computed(() => [
  props.chosen
    ? { label: 'Put it aside', key: 'k', run: () => lesson.edit((draft) => (draft.measured = null)) }
    : { label: 'Measure this', key: 'm', run: () => lesson.edit((draft) => (draft.measured = props.measure.id)) },
  {
    label: 'Take away',
    key: 'Delete',
    run: () =>
      lesson.edit((draft) => {
        draft.measures = draft.measures.filter((one) => one.id !== props.measure.id)
        if (draft.measured === props.measure.id) draft.measured = null
      }),
  },
])
</script>

<template>
  <TrayCard :name="measure.name" :items="items" @rename="write">
    <LinkBtn class="method" @click="focusTarget('method-tool')">{{ methodWords(measure.method) }}</LinkBtn>
    <LinkBtn
      v-if="chosen && countsSaid"
      class="method"
      @click="focusTarget(countedFor(lesson.plan!).length > 1 ? 'counts' : 'best')"
      >{{ countsSaid }}</LinkBtn
    >
  </TrayCard>
</template>

<style scoped>
.method {
  padding: 0 var(--gap-close);
  border: 0;
  background: none;
  color: var(--slate);
  font-size: var(--type-small);
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
