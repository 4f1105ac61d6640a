<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import { newRemark, REMARK_LISTS, type Remark, type RemarkList } from '~~/core/lesson'
import { doubtfulRemarks, keepForLater, testableOf, withList, withoutRemark } from '~~/core/wonder'
import { nameOfGroup, VERDICT_WORDS, WONDER_WORDS } from '~~/core/wording'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import ShapeBadge from '~/components/pieces/ShapeBadge.vue'
import GrowingField from '~/forms/GrowingField.vue'
import QuickAdd from '~/forms/QuickAdd.vue'
import { useDragging } from '~/composables/dragging'
import { newId } from '~/following/newId'
import { useLesson } from '~/stores/lesson'

/** One of the three lists, with quick entry: type, Enter, type on. What groups say at their stations comes in by itself. */
const props = defineProps<{ name: RemarkList; looking?: string }>()
const emit = defineEmits<{ look: [id: string] }>()
const lesson = useLesson()
const plan = computed(() => lesson.heard!)
const words = computed(() => WONDER_WORDS[props.name])
const dragging = useDragging()
const remarks = computed<Remark[]>({
  get: () => plan.value.wonder[props.name],
  set: (list) => lesson.replace(withList(plan.value, props.name, list), 'drag-remark'),
})

const guesses = computed(
  () =>
    new Map(props.name === 'noticed' ? doubtfulRemarks(plan.value).map(({ remark, words }) => [remark.id, words.join(', ')]) : []),
)
const verdicts = computed(
  () =>
    new Map(
      props.name === 'wondered'
        ? plan.value.wonder.wondered.map((remark) => [remark.id, VERDICT_WORDS[testableOf(plan.value, remark).verdict]])
        : [],
    ),
)

function add(text: string): void {
  lesson.editHeard((draft) => draft.wonder[props.name].push(newRemark(newId(), text)))
}

function write(id: string, text: string): void {
  lesson.editHeard((draft) => (draft.wonder[props.name].find((remark) => remark.id === id)!.text = text), `remark-${id}`)
}

function itemsFor(remark: Remark) {
  const others = REMARK_LISTS.filter((list) => list !== props.name)
  return [
    ...(props.name === 'wondered'
      ? [
          { label: 'Could we test it?', key: 't', run: () => emit('look', remark.id) },
          {
            label: remark.later ? 'Back from next time' : 'Keep for next time',
            key: 'l',
            run: () => lesson.replace(keepForLater(plan.value, remark.id, !remark.later)),
          },
        ]
      : []),
    ...others.map((list) => ({
      label: `Move to ${WONDER_WORDS[list].name}`,
      run: () =>
        lesson.editHeard((draft) => {
          draft.wonder[props.name] = draft.wonder[props.name].filter(({ id }) => id !== remark.id)
          draft.wonder[list].push(remark)
        }),
    })),
    { label: 'Take away', key: 'Delete', run: () => lesson.replace(withoutRemark(plan.value, remark.id)) },
  ]
}
</script>

<template>
  <section class="list" :aria-labelledby="`list-${name}`">
    <h3 class="text-lead" :id="`list-${name}`">{{ words.name }}</h3>
    <p class="hint mb-close">{{ words.what }}</p>
    <p v-if="remarks.length === 0" class="hint mb-close">For example: {{ words.example }}</p>
    <VueDraggable v-model="remarks" tag="ul" group="remarks" v-bind="dragging" class="remarks">
      <li
        v-for="remark in remarks"
        :key="remark.id"
        class="remark"
        :class="{ chosen: plan.asked.chosen === remark.id, later: remark.later, looked: looking === remark.id }"
      >
        <span v-if="remark.by" class="by" :title="`said by ${nameOfGroup(plan, remark.by)}`">
          <ShapeBadge :size="15" :shape="plan.groups.find(({ id }) => id === remark.by)?.shape ?? 'circle'" />
          <span class="sr-only">{{ nameOfGroup(plan, remark.by) }}</span>
        </span>
        <GrowingField
          plain
          :label="`${words.name}: ${remark.text}`"
          :model-value="remark.text"
          @update:model-value="write(remark.id, $event)"
        />
        <span v-if="guesses.has(remark.id)" class="tag" :title="`sounds like a guess: ${guesses.get(remark.id)}`">guess?</span>
        <VBtn
          v-if="verdicts.has(remark.id)"
          class="verdict"
          size="small"
          :aria-pressed="looking === remark.id"
          :aria-label="`Could we test it? ${verdicts.get(remark.id)!.name}: ${remark.text}`"
          @click="emit('look', remark.id)"
        >
          <template v-if="plan.asked.chosen === remark.id">our question</template>
          <template v-else-if="remark.later">next time</template>
          <template v-else>
            <span aria-hidden="true">{{ verdicts.get(remark.id)!.mark }}</span>
            {{ verdicts.get(remark.id)!.name }}
          </template>
        </VBtn>
        <MoreMenu :label="`More for: ${remark.text}`" :items="itemsFor(remark)" />
      </li>
    </VueDraggable>
    <QuickAdd :label="`Add to ${words.name}`" :target="name" :is-new="name === 'noticed'" @add="add" />
  </section>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  min-height: 236px;
  padding: var(--gap-near) var(--gap-wide) var(--gap-wide);
  border: 1px solid var(--line);
  border-top: 4px solid var(--green);
  border-radius: var(--corner);
  background: var(--card);
}
.remarks {
  flex: 1;
  min-height: 40px;
  padding-bottom: var(--gap-near);
}
.tag {
  grid-area: tag;
  justify-self: start;
  margin-left: 6px;
  padding: 0 var(--gap-close);
  border: 0;
  border-radius: var(--corner-glass);
  background: var(--brass-light);
  color: var(--ink);
  font-size: var(--type-small);
  white-space: nowrap;
}
.verdict {
  grid-area: tag;
  justify-self: start;
  min-height: 24px;
  margin-left: 6px;
  padding: 0 var(--gap-close);
  border: 1px solid var(--mark);
  color: var(--ink);
  font-size: var(--type-small);
  font-weight: 400;
}
.chosen .verdict {
  grid-area: tag;
  justify-self: start;
  min-height: 24px;
  margin-left: 6px;
  padding: 0 var(--gap-close);
  border: 1px solid var(--mark);
  color: var(--ink);
  font-size: var(--type-small);
  font-weight: 400;
}
.later {
  color: var(--soft);
}
.looked {
  background: var(--green-light);
}
.by {
  grid-area: by;
  padding: var(--gap-close) 0 0 var(--gap-hair);
}
.remark {
  display: grid;
  grid-template: 'by text menu' auto 'by tag tag' auto / auto minmax(0, 1fr) auto;
  align-items: start;
  padding: var(--gap-hair) 0 var(--gap-tight);
  border-bottom: 1px solid var(--line);
  cursor: grab;
}
.remark > :deep(.field) {
  grid-area: text;
}
.remark > :deep(.more) {
  grid-area: menu;
}
</style>
