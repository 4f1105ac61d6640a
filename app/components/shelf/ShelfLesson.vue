<script setup lang="ts">
import { dayWords, lessonName } from '~~/core/wording'
import type { ShelfEntry } from '~~/schemas/contract'
import BeakerMark from '~/components/pieces/BeakerMark.vue'
import MoreMenu from '~/components/pieces/MoreMenu.vue'
import SmallBars from '~/components/shelf/SmallBars.vue'

/** One lesson on the shelf: how full its beaker is, when it is, what came out, and what it waits for. */
const props = defineProps<{ lesson: ShelfEntry; mayHandOver: boolean }>()
const emit = defineEmits<{ duplicate: []; archive: []; handOver: []; together: [] }>()
const when = computed(() => {
  const { date, start } = props.lesson
  return date === '' ? 'no day yet' : `${dayWords(date)}${start ? `, ${start}` : ''}`
})
const percent = computed(() => Math.round(props.lesson.level * 100))
const matter = computed(() => (props.lesson.judged ? props.lesson.matters.first : null))
const there = computed(() => {
  const path = `/lesson/${props.lesson.id}/`
  if (!props.lesson.judged) return { path: `${path}plan` }
  const { stop, target } = matter.value ?? { stop: 'agree', target: null }
  return { path: path + stop, query: target ? { at: target } : {} }
})
const more = computed(() => [
  { label: 'Duplicate', run: () => emit('duplicate') },
  { label: 'Run together with …', run: () => emit('together') },
  { label: props.lesson.archived ? 'Take back' : 'Put away', run: () => emit('archive') },
  ...(props.mayHandOver ? [{ label: 'Hand over', run: () => emit('handOver') }] : []),
])
</script>

<template>
  <li class="lesson">
    <BeakerMark :size="56" :level="lesson.level" :label="lesson.judged ? `${percent} in 100 ready` : 'being worked out'" />
    <div>
      <h4 class="text-title">
        <NuxtLink :to="there">{{ lessonName(lesson.title) }}</NuxtLink>
      </h4>
      <p class="question font-heading break-anywhere">{{ lesson.question || 'No question yet' }}</p>
      <p class="soft">
        Class {{ lesson.className }} ·
        <span class="nowrap">{{ when }}</span>
      </p>
    </div>
    <SmallBars :bars="lesson.picture" />
    <div class="next grid gap-tight justify-items-start">
      <VBtn :to="there">{{ matter?.text ?? 'Open' }}</VBtn>
      <p v-if="!lesson.judged" class="soft">being looked through …</p>
      <p v-else-if="!matter" class="soft">all done</p>
      <p v-else-if="lesson.matters.more > 0" class="soft">and {{ lesson.matters.more }} more</p>
    </div>
    <MoreMenu :label="`More for ${lessonName(lesson.title)}`" :items="more" />
  </li>
</template>

<style scoped>
.lesson {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) 120px 250px 36px;
  gap: var(--gap-block);
  align-items: center;
  padding: var(--gap-part) var(--gap-tight);
  border-bottom: 1px solid var(--line);
}
.lesson h4 a {
  color: var(--ink);
  text-decoration: none;
}
.lesson h4 a:hover {
  text-decoration: underline;
}
@media (width < 860px) {
  .lesson {
    grid-template-columns: 64px minmax(0, 1fr) 36px;
  }
  .lesson > :deep(svg[role='img']:not(:first-child)),
  .next {
    grid-column: 2;
  }
  .lesson > :last-child {
    grid-area: 1 / 3;
  }
}
</style>
