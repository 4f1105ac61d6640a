<script setup lang="ts">
import { dayWords, counted, nextThing } from '~~/core/wording'
import type { ShelfEntry } from '~~/schemas/contract'

/** One lesson on the shelf: how full its beaker is, when it is, what to do next. */
const props = defineProps<{ lesson: ShelfEntry; mayHandOver: boolean }>()
defineEmits<{ duplicate: []; archive: []; handOver: [] }>()
const when = computed(() => {
  const { date, start } = props.lesson
  return date === '' ? 'no day yet' : `${dayWords(date)}${start ? `, ${start}` : ''}`
})
const there = computed(() => `/lesson/${props.lesson.id}/${props.lesson.judged ? (props.lesson.next ?? 'agree') : 'plan'}`)
const percent = computed(() => Math.round(props.lesson.level * 100))
</script>

<template>
  <li class="lesson">
    <BeakerMark :size="64" :level="lesson.level" :label="lesson.judged ? `${percent} in 100 ready` : 'being worked out'" />
    <div class="words">
      <h3>
        <NuxtLink :to="there">{{ lesson.title || 'Lesson without a name' }}</NuxtLink>
      </h3>
      <p class="question">{{ lesson.question || 'No question yet' }}</p>
      <p class="soft">
        Class {{ lesson.className }} ·
        <span class="nowrap">{{ when }}</span>
      </p>
    </div>
    <div class="next">
      <VBtn :to="there">{{ lesson.judged ? nextThing(lesson.next) : 'Open' }}</VBtn>
      <p v-if="!lesson.judged" class="soft">being looked through …</p>
      <p v-else-if="lesson.troubles > 0" class="trouble">
        <span aria-hidden="true">▲</span>
        {{ counted(lesson.troubles, 'thing') }} to mend
      </p>
    </div>
    <div class="tools">
      <QuietBtn size="small" :aria-label="`Duplicate ${lesson.title}`" @click="$emit('duplicate')"> Duplicate </QuietBtn>
      <QuietBtn
        size="small"
        :aria-label="`${lesson.archived ? 'Take back' : 'Put away'} ${lesson.title}`"
        @click="$emit('archive')"
      >
        {{ lesson.archived ? 'Take back' : 'Put away' }}
      </QuietBtn>
      <QuietBtn v-if="mayHandOver" size="small" :aria-label="`Hand over ${lesson.title}`" @click="$emit('handOver')">
        Hand over
      </QuietBtn>
    </div>
  </li>
</template>

<style scoped>
.lesson {
  display: grid;
  grid-template-columns: 72px minmax(0, 1fr) 200px 110px;
  gap: var(--gap-block);
  align-items: center;
  padding: var(--gap-part) var(--gap-tight);
  border-bottom: 1px solid var(--line);
}
.lesson h3 {
  font-size: var(--type-title);
}
.lesson h3 a {
  color: var(--ink);
  text-decoration: none;
}
.lesson h3 a:hover {
  text-decoration: underline;
}
.question {
  font-family: var(--heading);
  overflow-wrap: anywhere;
}
.next {
  display: grid;
  gap: var(--gap-tight);
  justify-items: start;
}
.tools {
  display: grid;
  justify-items: start;
}
@media (width < 860px) {
  .lesson {
    grid-template-columns: 72px minmax(0, 1fr);
  }
  .next,
  .tools {
    grid-column: 2;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
  }
}
</style>
