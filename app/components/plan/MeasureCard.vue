<script setup lang="ts">
import { type Measure } from '~~/core/lesson'
import {
  countedFor,
  forMeasure,
  measuredCards,
  mayMeasureMore,
  withFirstMeasured,
  withMeasuredToo,
  withoutMeasured,
} from '~~/core/test'
import { isRead } from '~~/core/record'
import { countsLine, methodWords } from '~~/core/wording'
import TrayCard from '~/components/plan/TrayCard.vue'
import { focusTarget } from '~/composables/keys'
import { useLesson } from '~/stores/lesson'
import { useNotices } from '~/stores/notices'

/** A thing we could measure, and with what. */
const props = defineProps<{ measure: Measure; chosen: boolean }>()
const lesson = useLesson()
const notices = useNotices()
const emit = defineEmits<{ look: [] }>()

function write(name: string): void {
  lesson.edit((draft) => {
    draft.measures.find((one) => one.id === props.measure.id)!.name = name
  }, `measure-${props.measure.id}`)
}

/** The lesson as this card sees it. */
const plan = computed(() => forMeasure(lesson.plan!, props.measure.id))
const countsSaid = computed(() => countsLine(plan.value, { example: true }))
const place = computed(() => measuredCards(lesson.plan!).findIndex(({ id }) => id === props.measure.id))
const items = computed(() => [
  ...(props.chosen
    ? [
        ...(place.value > 0
          ? [{ label: 'Put it first', key: 'f', run: () => lesson.replace(withFirstMeasured(lesson.plan!, props.measure.id)) }]
          : []),
        { label: 'Put it aside', key: 'k', run: () => lesson.replace(withoutMeasured(lesson.plan!, props.measure.id)) },
      ]
    : [
        { label: 'Measure this', key: 'm', run: () => lesson.replace(withFirstMeasured(lesson.plan!, props.measure.id)) },
        ...(mayMeasureMore(lesson.plan!)
          ? [{ label: 'Measure this too', key: 't', run: () => lesson.replace(withMeasuredToo(lesson.plan!, props.measure.id)) }]
          : []),
      ]),
  { label: 'Take away', key: 'Delete', run: takeAway },
])

/** The panels below speak of this card then. */
async function look(target: string): Promise<void> {
  emit('look')
  await nextTick()
  await focusTarget(target)
}

function takeAway(): void {
  const without = withoutMeasured(lesson.plan!, props.measure.id)
  const several = measuredCards(lesson.plan!).length > 1 || !props.chosen
  if (several && isRead(lesson.plan!, lesson.record.readings, props.measure.id)) {
    if (props.chosen) lesson.replace(without)
    return notices.done('It has readings, so it stays beside the trays.')
  }
  lesson.replace({ ...without, measures: without.measures.filter(({ id }) => id !== props.measure.id) })
}
</script>

<template>
  <TrayCard :name="measure.name" :items="items" @rename="write">
    <LinkBtn class="method" @click="look('method-tool')">{{ methodWords(measure.method) }}</LinkBtn>
    <LinkBtn v-if="chosen && countsSaid" class="method" @click="look(countedFor(plan).length > 1 ? 'counts' : 'best')">{{
      countsSaid
    }}</LinkBtn>
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
