<script setup lang="ts">
import { WALK } from '~~/core/wording'
import { useKeys, whenThere } from '~/composables/keys'
import { useLesson } from '~/stores/lesson'

/** A walk through the demo lesson: what is meant stands in a frame, and each step can be the last. */
const lesson = useLesson()
const emit = defineEmits<{ leave: [] }>()
const place = ref(0)
const step = computed(() => WALK[place.value]!)
const heading = useTemplateRef<HTMLElement>('heading')

async function go(to: number): Promise<void> {
  if (to >= WALK.length) return emit('leave')
  place.value = to
  await navigateTo(`/lesson/${lesson.id}/${step.value.stop}`)
  const meant = await whenThere(step.value.target)
  for (const before of document.querySelectorAll('.walked')) before.classList.remove('walked')
  meant?.classList.add('walked')
  meant?.scrollIntoView({ block: 'center' })
  heading.value?.focus({ preventScroll: true })
}

onMounted(() => go(0))
onBeforeUnmount(() => document.querySelector('.walked')?.classList.remove('walked'))
useKeys({ Escape: () => emit('leave') })
</script>

<template>
  <section class="walk" aria-labelledby="walk" role="dialog" aria-modal="false">
    <p class="soft">{{ place + 1 }} of {{ WALK.length }}</p>
    <h2 id="walk" ref="heading" tabindex="-1">{{ step.title }}</h2>
    <p aria-live="polite">{{ step.text }}</p>
    <div class="row">
      <MainBtn @click="go(place + 1)">{{ place + 1 < WALK.length ? 'Go on' : 'Done' }}</MainBtn>
      <VBtn v-if="place > 0" @click="go(place - 1)">Back</VBtn>
      <QuietBtn v-if="place + 1 < WALK.length" @click="emit('leave')">Leave the walk</QuietBtn>
    </div>
  </section>
</template>

<style scoped>
.walk {
  position: fixed;
  bottom: var(--gap-block);
  left: calc(200px + var(--gap-block));
  z-index: var(--layer-head);
  display: grid;
  gap: var(--gap-near);
  width: min(520px, calc(100vw - 2 * var(--gap-block)));
  padding: var(--gap-block);
  border: 3px solid var(--green);
  border-radius: var(--corner);
  background: var(--card);
}
.walk h2 {
  font-size: var(--type-title);
  outline: none;
}
@media (width < 900px) {
  .walk {
    left: var(--gap-block);
  }
}
</style>
