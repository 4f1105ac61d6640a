<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import type { Remark } from '~~/core/lesson'
import { doubtfulRemarks } from '~~/core/wonder'
import { WONDER_LISTS, WONDER_WORDS, type WonderList } from '~~/core/wording'

/** One of the three lists, with quick entry: type, Enter, type on. */
const props = defineProps<{ name: WonderList }>()
const lesson = useLesson()
const words = computed(() => WONDER_WORDS[props.name])
const remarks = computed<Remark[]>({
  get: () => lesson.plan!.wonder[props.name],
  set: (list) => lesson.edit((draft) => (draft.wonder[props.name] = list), 'drag-remark'),
})

const guesses = computed(
  () =>
    new Map(
      props.name === 'noticed' ? doubtfulRemarks(lesson.plan!).map(({ remark, words }) => [remark.id, words.join(', ')]) : [],
    ),
)

function add(text: string): void {
  lesson.edit((plan) => plan.wonder[props.name].push({ id: newId(), text, kept: false }))
}

function write(id: string, text: string): void {
  lesson.edit((plan) => {
    plan.wonder[props.name].find((remark) => remark.id === id)!.text = text
  }, `remark-${id}`)
}

function takeAway(id: string): void {
  lesson.edit((plan) => (plan.wonder[props.name] = plan.wonder[props.name].filter((remark) => remark.id !== id)))
}

function itemsFor(remark: Remark) {
  const others = WONDER_LISTS.filter((list) => list !== props.name)
  return [
    ...others.map((list) => ({
      label: `Move to ${WONDER_WORDS[list].name}`,
      run: () =>
        lesson.edit((plan) => {
          plan.wonder[props.name] = plan.wonder[props.name].filter(({ id }) => id !== remark.id)
          plan.wonder[list].push(remark)
        }),
    })),
    { label: 'Take away', key: 'Delete', run: () => takeAway(remark.id) },
  ]
}
</script>

<template>
  <section class="list" :aria-labelledby="`list-${name}`">
    <h3 :id="`list-${name}`">{{ words.name }}</h3>
    <p class="hint">{{ words.what }}</p>
    <VueDraggable
      v-model="remarks"
      tag="ul"
      group="remarks"
      filter="textarea, button"
      :prevent-on-filter="false"
      :animation="120"
      class="remarks"
    >
      <li v-for="remark in remarks" :key="remark.id" class="remark">
        <GrowingField
          plain
          :label="`${words.name}: ${remark.text}`"
          :model-value="remark.text"
          @update:model-value="write(remark.id, $event)"
        />
        <span v-if="guesses.has(remark.id)" class="guess" :title="`sounds like a guess: ${guesses.get(remark.id)}`">guess?</span>
        <MoreMenu :label="`More for: ${remark.text}`" :items="itemsFor(remark)" />
      </li>
    </VueDraggable>
    <QuickAdd
      :label="`Add to ${words.name}`"
      :placeholder="`+ ${words.example}`"
      :target="name"
      :is-new="name === 'noticed'"
      @add="add"
    />
  </section>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  min-height: 236px;
  padding: 10px 12px 12px;
  border: 1px solid var(--line);
  border-top: 4px solid var(--green);
  border-radius: var(--corner);
  background: var(--card);
}
.list h3 {
  font-size: 17px;
}
.hint {
  margin-bottom: 6px;
}
.remarks {
  flex: 1;
  min-height: 40px;
  padding-bottom: 8px;
}
.guess {
  flex: none;
  align-self: center;
  padding: 0 6px;
  border-radius: 9px;
  background: var(--brass-light);
  color: var(--ink);
  font-size: 13px;
}
.remark {
  display: flex;
  align-items: flex-start;
  padding: 2px 0;
  border-bottom: 1px solid var(--line);
  cursor: grab;
}
</style>
